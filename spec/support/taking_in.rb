# frozen_string_literal: true

# A file taken in over HTTP, step by step, as a page does it.
module TakingIn
  # Answers the import's page once it is looked through; what refused it, where it was refused on its way.
  def look_through(kind, text, length_unit: "cm", mass_unit: "kg", chunk: 300_000)
    bytes = text.b
    import =
      call(:post, "/api/imports", { kind: kind, bytes: bytes.bytesize, length_unit: length_unit, mass_unit: mass_unit })
    return import unless import["id"]

    pieces = (0...bytes.bytesize).step(chunk).map { |from| bytes[from, chunk] }
    pieces.each_with_index do |piece, number|
      call(:put, "/api/imports/#{import["id"]}/chunks", { number: number, base64: [piece].pack("m0") })
    end
    until %w[checked taken].include?(import["state"])
      step = call(:post, "/api/imports/#{import["id"]}/step")
      return step unless step["id"]

      import = step
    end
    call(:get, "/api/imports/#{import["id"]}")
  end

  # Everything gone but the staff, as on a machine that was set up anew.
  def emptied
    tables = TestDatabase.emptying_order - %i[gyms accounts account_password_hashes account_active_session_keys writes]
    db.run(tables.map { |table| "DELETE FROM #{db.literal(table)}" }.join(";"))
  end

  def take(import, leave_refused: false, until_asked: false)
    call(:post, "/api/imports/#{import["id"]}/taking", { leave_refused: leave_refused, until_asked: until_asked })
  end

  def take_in(kind, text, leave_refused: false, until_asked: false, **units)
    look_through(kind, text, **units).then do |import|
      import["id"] ? take(import, leave_refused: leave_refused, until_asked: until_asked) : import
    end
  end

  def told(import) = import["told"].map { |row| row.values_at("line", "action", "column", "says") }
end
