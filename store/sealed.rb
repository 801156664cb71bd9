# frozen_string_literal: true

module Verglas
  module Store
    # Which fields lie encrypted in which table: each as <name>_cipher, opened under its own name by whoever reads the
    # row. What is nothing (no text, an empty list) lies there as NULL. Digests beside them are listed too, so that a
    # new key finds everything.
    module Sealed
      # A field: the purpose of its encryption, and what it is when there is nothing; JSON unless that is text.
      Field = Struct.new(:purpose, :none) { def json? = !none.is_a?(String) }

      FIELDS = {
        clients: {
          detail: Field.new(:detail, ""),
          limits: Field.new(:limits, {})
        },
        client_rules: {
          reason: Field.new(:rule_reason, "")
        },
        client_cautions: {
          body: Field.new(:caution_body, {}),
          note: Field.new(:caution, ""),
          removal: Field.new(:caution_removal, "")
        },
        fittings: {
          signs: Field.new(:signs, []),
          work: Field.new(:work, {}),
          trail: Field.new(:trail, []),
          load: Field.new(:load, ""),
          stop_sign: Field.new(:stop_sign, ""),
          result: Field.new(:result, nil),
          computed_from: Field.new(:computed_from, nil),
          note: Field.new(:note, ""),
          cue: Field.new(:cue, ""),
          reason: Field.new(:reason, ""),
          flow: Field.new(:flow, nil),
          taken_back: Field.new(:taking_back, ""),
          movement: Field.new(:fitting_movement, nil)
        },
        sets: {
          how: Field.new(:set_how, {}),
          movement: Field.new(:set_movement, nil)
        },
        sessions: {
          left_out: Field.new(:session_left_out, [])
        },
        refit_snoozes: {
          reason: Field.new(:snooze_reason, "")
        },
        import_chunks: {
          bytes: Field.new(:import_bytes, "")
        },
        import_pieces: {
          rows: Field.new(:import_rows, []),
          outcomes: Field.new(:import_outcomes, nil)
        }
      }.freeze

      module_function

      # Values by name to columns; what is not sealed in this table is passed on as it is.
      def columns(table, values)
        fields = FIELDS.fetch(table)
        values.to_h do |name, value|
          field = fields[name]
          field ? [:"#{name}_cipher", lock(field, value)] : [name, value]
        end
      end

      # A row with what it holds of its sealed columns opened, in place. prefix: before the names, where a row is of
      # several tables.
      def open(table, row, prefix: "")
        row &&
          FIELDS
            .fetch(table)
            .each do |name, field|
              column = :"#{prefix}#{name}_cipher"
              row[:"#{prefix}#{name}"] = read(field, row.delete(column)) if row.key?(column)
            end
        row
      end

      def open_all(table, rows, prefix: "") = rows.each { |row| Sealed.open(table, row, prefix: prefix) }

      # Selected columns of a table, sealed ones as they lie there.
      def names(table, names) = names.map { |name| FIELDS.fetch(table).key?(name) ? :"#{name}_cipher" : name }

      def lock(field, value)
        return if value.nil? || value == field.none

        Secrets.lock(field.json? ? JSON.generate(value) : value, field.purpose)
      end

      def read(field, cipher)
        return field.none unless cipher

        text = Secrets.open(cipher, field.purpose)
        field.json? ? JSON.parse(text) : text
      end
      private_class_method :lock, :read
    end
  end
end
