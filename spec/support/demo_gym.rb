# frozen_string_literal: true

require_relative "../../demo/loader"

# The demo gym in an empty database: made by its loader once, and laid down as it was made from then on.
module DemoGym
  # Answers the gym's id.
  def self.lay(db)
    return made(db) unless @made

    db.transaction { @made.each { |table, columns, rows| db.copy_into(table, columns: columns, data: rows) } }
    db[:gyms].get(:id)
  end

  def self.made(db)
    Verglas::Demo::Loader
      .new(db)
      .load
      .tap do
        @made =
          TestDatabase.emptying_order.reverse.filter_map do |table|
            columns = written(db, table)
            rows = db.copy_table(db[table].select(*columns))
            [table, columns, rows] unless rows.empty?
          end
      end
  end

  # What the database does not make itself.
  def self.written(db, table)
    db[Sequel[:information_schema][:columns]]
      .where(table_schema: "public", table_name: table.to_s, is_generated: "NEVER")
      .order(:ordinal_position)
      .select_map(:column_name)
      .map(&:to_sym)
  end
  private_class_method :made, :written
end
