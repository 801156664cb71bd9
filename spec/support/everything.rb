# frozen_string_literal: true

# What the database holds, as a digest a table, in one statement: to be compared before and after.
module Everything
  # but: tables that a request may change whatever becomes of it.
  def everything(but: [])
    tables = db.tables - [:schema_info, *but]
    digests = tables.map { |table| "SELECT '#{table}' AS name, md5(string_agg(md5(t::text), '' ORDER BY md5(t::text))) AS held FROM #{db.literal(table)} t" }
    db.fetch(digests.join(" UNION ALL ")).to_hash(:name, :held)
  end
end
