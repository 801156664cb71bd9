# frozen_string_literal: true

require "json"

# What speaks of somebody's health lies encrypted: which cautions a client has and whose word about them, limits, what
# tells namesakes apart, why a rule is otherwise for somebody; of a fitting the signs, the work, the load as typed, the
# trail, the stop sign, the result and what it was computed from. Where a question asks whether two are the same, a
# keyed digest stands beside it.
lock = ->(text, purpose) { Verglas::Store::Secrets.lock(text.to_s, purpose) }
open = ->(cipher, purpose) { Verglas::Store::Secrets.open(cipher, purpose) }
digest = ->(text, purpose) { Verglas::Store::Secrets.digest(text, purpose) }
empty = ["[]", "{}", "null", ""]
sealed = ->(value, purpose) { empty.include?(text = value.to_s) ? nil : lock.call(text, purpose) }

# Table, its key, and {column => [purpose, whether it is JSON, what stands for nothing]}.
plain = [
  [:clients, :id, { detail: [:detail, false, ""], limits: [:limits, true, "{}"] }],
  [:client_rules, %i[client_id question], { reason: [:rule_reason, false, ""] }],
  [
    :fittings,
    :id,
    {
      signs: [:signs, true, "[]"],
      work: [:work, true, "{}"],
      trail: [:trail, true, "[]"],
      load: [:load, false, ""],
      stop_sign: [:stop_sign, false, ""],
      result: [:result, true, nil],
      computed_from: [:computed_from, true, nil]
    }
  ]
]
key_of = ->(row, key) { Array(key).to_h { |name| [name, row[name]] } }
text_of = ->(column, json) { json ? Sequel.cast(column, :text).as(column) : column }

Sequel.migration do
  up do
    run "SET LOCAL statement_timeout = 0"
    plain.each do |table, key, columns|
      columns.each_key { |name| add_column table, :"#{name}_cipher", :text }
      from(table)
        .select(*Array(key), *columns.map { |name, (_, json)| text_of.call(name, json) })
        .paged_each(rows_per_fetch: 500) do |row|
          fields = columns.to_h { |name, (purpose, _)| [:"#{name}_cipher", sealed.call(row[name], purpose)] }
          from(table).where(key_of.call(row, key)).update(fields) if fields.values.any?
        end
    end

    alter_table(:clients) do
      add_column :detail_digest, :text
      add_column :rules_version, :integer, null: false, default: 1
    end
    from(:clients)
      .select(:id, :gym_id, Sequel.function(:folded, :detail).as(:folded))
      .paged_each(rows_per_fetch: 500) do |row|
        from(:clients).where(id: row[:id]).update(
          detail_digest: row[:folded].empty? ? "" : digest.call("#{row[:gym_id]}:#{row[:folded]}", :detail)
        )
      end
    alter_table(:clients) do
      %i[clients_by_name clients_namesakes].each { |name| drop_index [], name: name }
      drop_constraint :client_limits_are_an_object
      drop_constraint :client_detail_length
      drop_column :detail
      drop_column :limits
      set_column_not_null :detail_digest
      add_index %i[gym_id search_name id], name: :clients_by_name
      add_index %i[gym_id search_name detail_digest], name: :clients_namesakes, unique: true
    end

    alter_table(:client_rules) do
      drop_constraint :client_rule_reason_length
      drop_column :reason
    end

    alter_table(:fittings) do
      add_column :grade, :text
      add_column :contact_above_ankle_mm, "numeric(6,1)"
      %i[
        accepted_whole
        fitting_stop_sign_form
        fitting_stopped_by_a_sign
        fitting_signs_are_a_list
        fitting_work_is_an_object
        fitting_trail_is_a_list
        fitting_load_length
      ].each { |name| drop_constraint name }
    end
    from(:fittings).exclude(result: nil).update(
      grade: Sequel.lit("result->>'grade'"),
      contact_above_ankle_mm: Sequel.lit("round((computed_from->'wishes'->>'contact_above_ankle_mm')::numeric, 1)")
    )
    alter_table(:fittings) do
      %i[signs work trail load stop_sign result computed_from].each { |name| drop_column name }
      add_constraint(:fitting_stopped_by_a_sign) { Sequel.lit("(state = 'stopped') = (stop_sign_cipher IS NOT NULL)") }
      add_constraint(:accepted_whole) do
        Sequel.lit(
          "(state IN ('draft', 'discarded') AND num_nonnulls(accepted_by, accepted_at, result_cipher, " \
            "computed_from_cipher) = 0) OR " \
            "(state IN ('accepted', 'stopped', 'taken_back') AND num_nonnulls(accepted_by, accepted_at, " \
            "result_cipher, computed_from_cipher) = 4)"
        )
      end
      add_constraint(:fitting_grade_length) { char_length(grade) =~ (1..40) }
    end

    alter_table(:client_cautions) do
      add_column :id, :uuid, null: false, default: Sequel.function(:gen_random_uuid)
      add_column :caution_digest, :text
      add_column :body_cipher, :text
    end
    cautions =
      from(:client_cautions).select(
        :id,
        :client_id,
        :caution,
        :side,
        :since,
        :cleared_by,
        :cleared_on,
        :load_to_kg,
        Sequel.cast(:degrees, :text).as(:degrees)
      )
    cautions.paged_each(rows_per_fetch: 500) do |row|
      body =
        row.slice(:caution, :side, :cleared_by).merge(
          since: row[:since]&.iso8601,
          cleared_on: row[:cleared_on]&.iso8601,
          load_to_kg: row[:load_to_kg]&.to_f,
          degrees: JSON.parse(row[:degrees])
        )
      from(:client_cautions).where(id: row[:id]).update(
        body_cipher: lock.call(JSON.generate(body), :caution_body),
        caution_digest: digest.call("#{row[:client_id]}:#{row[:caution]}", :caution_kind)
      )
    end
    alter_table(:client_cautions) do
      drop_constraint :client_cautions_pkey
      %i[
        caution_side_known
        caution_clearance_signed
        caution_cleared_by_length
        caution_load_range
        caution_load_is_a_clinicians
        caution_degrees_are_an_object
        caution_degrees_are_a_clinicians
      ].each { |name| drop_constraint name }
      %i[caution side since cleared_by cleared_on load_to_kg degrees].each { |name| drop_column name }
      set_column_not_null :caution_digest
      set_column_not_null :body_cipher
      add_primary_key [:id]
      add_unique_constraint %i[client_id caution_digest], name: :one_caution_of_a_kind
    end

    # What has no row of its own to carry a version.
    alter_table(:gyms) do
      %i[equipment_version plates_version rules_version].each do |name|
        add_column name, :integer, null: false, default: 1
      end
    end
  end

  down do
    alter_table(:gyms) { %i[equipment_version plates_version rules_version].each { |name| drop_column name } }

    alter_table(:client_cautions) do
      add_column :caution, :text
      add_column :side, :text, null: false, default: ""
      add_column :since, :date
      add_column :cleared_by, :text, null: false, default: ""
      add_column :cleared_on, :date
      add_column :load_to_kg, "numeric(5,1)"
      add_column :degrees, :json, null: false, default: "{}"
    end
    from(:client_cautions)
      .select(:id, :body_cipher)
      .paged_each(rows_per_fetch: 500) do |row|
        body = JSON.parse(open.call(row[:body_cipher], :caution_body))
        from(:client_cautions).where(id: row[:id]).update(
          **body.slice("caution", "side", "since", "cleared_by", "cleared_on", "load_to_kg").transform_keys(&:to_sym),
          degrees: Sequel.cast(JSON.generate(body["degrees"]), :json)
        )
      end
    alter_table(:client_cautions) do
      drop_constraint :one_caution_of_a_kind
      drop_constraint :client_cautions_pkey
      %i[id caution_digest body_cipher].each { |name| drop_column name }
      add_primary_key %i[client_id caution]
      add_constraint :caution_side_known, side: ["", "left", "right", "both"]
      add_constraint(:caution_clearance_signed) { Sequel.lit("(cleared_by = '') = (cleared_on IS NULL)") }
      add_constraint(:caution_cleared_by_length) { char_length(cleared_by) <= 80 }
      add_constraint(:caution_load_range) { load_to_kg =~ (0..1000) }
      add_constraint(:caution_load_is_a_clinicians) { Sequel.lit("cleared_on IS NOT NULL OR load_to_kg IS NULL") }
      add_constraint(:caution_degrees_are_an_object, Sequel.function(:json_typeof, :degrees) => "object")
      add_constraint(:caution_degrees_are_a_clinicians) { Sequel.lit("cleared_on IS NOT NULL OR degrees::text = '{}'") }
    end

    alter_table(:fittings) do
      %i[fitting_stopped_by_a_sign accepted_whole fitting_grade_length].each { |name| drop_constraint name }
    end
    plain.each do |table, key, columns|
      columns.each do |name, (_, json, none)|
        add_column table, name, json ? :json : :text, **(none ? { null: false, default: none } : {})
      end
      from(table)
        .select(*Array(key), *columns.keys.map { |name| :"#{name}_cipher" })
        .paged_each(rows_per_fetch: 500) do |row|
          fields =
            columns.filter_map do |name, (purpose, json, _)|
              cipher = row[:"#{name}_cipher"]
              cipher && [name, json ? Sequel.cast(open.call(cipher, purpose), :json) : open.call(cipher, purpose)]
            end
          from(table).where(key_of.call(row, key)).update(fields.to_h) if fields.any?
        end
      columns.each_key { |name| drop_column table, :"#{name}_cipher" }
    end
    alter_table(:fittings) do
      drop_column :grade
      drop_column :contact_above_ankle_mm
      add_constraint(:accepted_whole) do
        Sequel.lit(
          "(state IN ('draft', 'discarded') AND num_nonnulls(accepted_by, accepted_at, result, computed_from) = 0) " \
            "OR " \
            "(state IN ('accepted', 'stopped', 'taken_back') AND num_nonnulls(accepted_by, accepted_at, result, " \
            "computed_from) = 4)"
        )
      end
      add_constraint(:fitting_stopped_by_a_sign) { Sequel.lit("(state = 'stopped') = (stop_sign <> '')") }
      add_constraint(:fitting_stop_sign_form) { Sequel.lit("stop_sign ~ '\\A[a-z_]{0,40}\\Z'") }
      add_constraint(:fitting_load_length) { char_length(load) <= 40 }
      add_constraint(:fitting_signs_are_a_list, Sequel.function(:json_typeof, :signs) => "array")
      add_constraint(:fitting_work_is_an_object, Sequel.function(:json_typeof, :work) => "object")
      add_constraint(:fitting_trail_is_a_list, Sequel.function(:json_typeof, :trail) => "array")
    end
    alter_table(:client_rules) { add_constraint(:client_rule_reason_length, Sequel.lit("char_length(reason) <= 200")) }
    alter_table(:clients) do
      %i[clients_by_name clients_namesakes].each { |name| drop_index [], name: name }
      drop_column :detail_digest
      drop_column :rules_version
      add_constraint(:client_detail_length) { char_length(detail) <= 80 }
      add_constraint(:client_limits_are_an_object, Sequel.function(:json_typeof, :limits) => "object")
      add_index %i[gym_id search_name detail id], name: :clients_by_name
      add_index [:gym_id, :search_name, Sequel.function(:folded, :detail)], name: :clients_namesakes, unique: true
    end
  end
end
