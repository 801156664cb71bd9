# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # Files on their way into one gym: bytes as they came (chunks), rows that were read of them (pieces) and what each
      # would do (outcomes). Everything lies encrypted and is forgotten within a day.
      class Imports
        KEPT_SECONDS = 24 * 60 * 60
        # The piece that stands for all of them.
        WHOLE = 0

        def initialize(gym)
          @gym = gym
        end

        def dataset = @gym.db[:imports].where(gym_id: @gym.id)
        def find(id) = dataset.first(id: id)

        # Until the transaction ends nobody else goes on with it.
        def hold(id) = dataset.where(id: id).for_update.first

        # The same, unless somebody does: raises Invalid.
        def hold_free(id)
          row = dataset.where(id: id).for_update.skip_locked.first
          raise Invalid.new(:import_held, path: "") if row.nil? && find(id)

          row
        end

        # So that the planner knows how many keys there are, before it is asked of all of them.
        def look_at_keys = @gym.db.run("ANALYZE import_keys")

        def insert(kind:, bytes:, units:, by:)
          dataset
            .returning
            .insert(gym_id: @gym.id, kind: kind, bytes: bytes, units: Sequel.pg_json(units), made_by: by)
            .first
        end

        def update(id, **fields)
          dataset.where(id: id).update(
            fields.transform_values { |value| value.is_a?(Hash) ? Sequel.pg_json(value) : value }
          )
        end

        def delete(id) = dataset.where(id: id).delete

        # Takes the place of what came under the same number before.
        def put_chunk(id, number, bytes)
          fields = { size: bytes.bytesize, **Sealed.columns(:import_chunks, { bytes: [bytes].pack("m0") }) }
          @gym.db[:import_chunks].insert_conflict(target: %i[import_id number], update: fields).insert(
            import_id: id,
            number: number,
            **fields
          )
        end

        def arrived(id) = @gym.db[:import_chunks].where(import_id: id).sum(:size).to_i

        # Yields the bytes of each chunk, in turn.
        def each_chunk(id)
          of = @gym.db[:import_chunks].where(import_id: id).order(:number)
          of
            .select_map(:number)
            .each { |number| yield Sealed.open(:import_chunks, of.first(number: number))[:bytes].unpack1("m0") }
        end

        def forget_chunks(id) = @gym.db[:import_chunks].where(import_id: id).delete

        # rows: plain data.
        def add_piece(id, number, rows)
          @gym.db[:import_pieces].insert(
            import_id: id,
            number: number,
            **Sealed.columns(:import_pieces, { rows: rows })
          )
        end
        def piece(id, number)
          Sealed.open(:import_pieces, @gym.db[:import_pieces].first(import_id: id, number: number))[:rows]
        end

        def put_outcomes(id, number, outcomes)
          @gym.db[:import_pieces].where(import_id: id, number: number).update(
            Sealed.columns(:import_pieces, { outcomes: outcomes })
          )
        end

        # {piece => outcomes}, in turn, of those that have something to tell.
        def outcomes(id)
          rows =
            @gym.db[:import_pieces]
              .where(import_id: id)
              .exclude(outcomes_cipher: nil)
              .order(:number)
              .select(:number, :outcomes_cipher)
              .all
          Sealed.open_all(:import_pieces, rows).to_h { |row| [row[:number], row[:outcomes]] }
        end

        # What was found of the whole file, after its pieces: the same again takes the place of it.
        def put_extra(id, outcomes)
          add_piece(id, WHOLE, [WHOLE])
          put_outcomes(id, WHOLE, outcomes)
        end

        # {line => Invalid} of what was found there.
        def refused_lines(id)
          row = Sealed.open(:import_pieces, @gym.db[:import_pieces].first(import_id: id, number: WHOLE))
          if row
            row[:outcomes].to_h { |line, _, wrong| [line, Invalid.new(wrong["code"].to_sym, path: wrong["path"])] }
          else
            {}
          end
        end

        # Ids of those on their way in which any of these stands by itself, in whatever encoding a table may come.
        def naming(words)
          words = words.map(&:downcase)
          dataset.exclude(state: "taken").select_map(:id).select { |id| rows_say?(id, words) || bytes_say?(id, words) }
        end

        # Taken in: nothing of the file is left but what was counted.
        def close(id, counts)
          forget_chunks(id)
          %i[import_pieces import_keys].each { |table| @gym.db[table].where(import_id: id).delete }
          update(id, state: "taken", counts: counts)
        end

        # keys: [[row, key, refers]], of which the digest is kept: a key may be a name.
        def add_keys(id, keys)
          rows = keys.map { |row, key, refers| [id, row, Secrets.digest("#{id}:#{key}", :import_key), refers] }
          Copy.rows(@gym.db, :import_keys, %i[import_id row key refers], rows)
        end

        # Looked for as it stands first: a pattern of a hundred words is slow where none of them is.
        def say?(text, words)
          low = text.downcase
          words.any? { |word| low.include?(word) && low.match?(/(?<!\p{Alnum})#{Regexp.escape(word)}(?!\p{Alnum})/) }
        end

        def rows_say?(id, words)
          pieces = @gym.db[:import_pieces].where(import_id: id).select(:rows_cipher, :outcomes_cipher)
          pieces.any? { |row| say?(JSON.generate(Sealed.open(:import_pieces, row)), words) }
        end

        # A name may be cut by the end of a chunk.
        def bytes_say?(id, words)
          bytes = "".b
          each_chunk(id) { |chunk| bytes << chunk }
          encodings(bytes).any? do |encoding|
            say?(bytes.encode(Encoding::UTF_8, encoding, invalid: :replace, undef: :replace).scrub, words)
          end
        end

        # In which it may be text: a zero stands in no other than those of sixteen bits.
        def encodings(bytes)
          return Encoding::UTF_16LE, Encoding::UTF_16BE if bytes.include?("\0")

          if bytes.dup.force_encoding(Encoding::UTF_8).valid_encoding?
            [Encoding::UTF_8]
          else
            [Encoding::UTF_8, Encoding::ISO_8859_1]
          end
        end
        private :say?, :rows_say?, :bytes_say?, :encodings

        # {row => the row before it under the same key}; and rows that refer to what is not there.
        def repeated(id, limit:)
          keys = @gym.db[:import_keys].where(import_id: id, refers: false)
          numbered = keys.select(:row, Sequel.function(:min, :row).over(partition: :key).as(:first))
          @gym.db[numbered.as(:numbered)].exclude(row: :first).order(:row).limit(limit).select_hash(:row, :first)
        end

        def dangling(id, limit:)
          keys = @gym.db[:import_keys].where(import_id: id)
          known =
            @gym.db[Sequel[:import_keys].as(:known)].where(
              Sequel[:known][:import_id] => id,
              Sequel[:known][:refers] => false,
              Sequel[:known][:key] => Sequel[:import_keys][:key]
            )
          keys
            .where(:refers)
            .exclude(known.select(1).exists)
            .distinct(:row)
            .order(:row)
            .limit(limit)
            .select_map(%i[row key])
        end

        # Whoever left them lying.
        def self.sweep(db)
          db[:imports]
            .where { made_at < Sequel::CURRENT_TIMESTAMP - Sequel.lit("interval '#{KEPT_SECONDS} seconds'") }
            .delete
        end
      end
    end
  end
end
