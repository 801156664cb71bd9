# frozen_string_literal: true

module Verglas
  module Store
    # Many rows at once, by PostgreSQL's COPY in its text form.
    module Copy
      ESCAPED = { "\\" => "\\\\", "\n" => "\\n", "\r" => "\\r", "\t" => "\\t" }.freeze
      NULL = "\\N"

      module_function

      # rows: of values that are text, numbers, true, false, nil or times.
      def rows(db, table, columns, rows)
        return if rows.empty?

        db.copy_into(
          table,
          columns: columns,
          data: rows.map { |row| "#{row.map { |value| text(value) }.join("\t")}\n" }
        )
      end

      def text(value)
        case value
        when nil
          NULL
        when String
          value.match?(/[\\\n\r\t]/) ? value.gsub(/[\\\n\r\t]/, ESCAPED) : value
        when Time
          value.utc.iso8601(6)
        else
          value.to_s
        end
      end
      private_class_method :text
    end
  end
end
