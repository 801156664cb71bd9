# frozen_string_literal: true

# What the database holds, as a digest a table, in one statement: to be compared before and after.
module Everything
  # Prepared once: planning it takes longer than most requests that are held against it.
  def self.digests(db)
    @digests ||=
      begin
        one = ->(table) do
          "SELECT '#{table}' AS name, md5(string_agg(md5(t::text), '' ORDER BY md5(t::text))) AS held FROM " \
            "#{db.literal(table)} t"
        end
        db.fetch((db.tables - [:schema_info]).map(&one).join(" UNION ALL ")).prepare(:select, :everything)
      end
  end

  # but: tables that a request may change whatever becomes of it.
  def everything(but: [])
    Everything.digests(db).call.to_h { |row| row.values_at(:name, :held) }.except(*but.map(&:to_s))
  end
end
