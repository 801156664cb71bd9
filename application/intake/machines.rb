# frozen_string_literal: true

module Verglas
  module Application
    class Intake
      # Machines: who stands where, what the walk-round found, lengths that were taped. Known by id, else by name; what
      # is not said stays.
      class Machines < Sheet
        SCHEMA = Formats::Schema.new("gym")
        FACTS = Store::Tables::Machines::FACTS - %i[user_mass_limit_kg]

        def key(values) = values[:id] || values[:name].to_s.downcase

        def write(outcomes)
          outcomes.each do |outcome|
            case outcome.action
            when :add
              add(outcome.said)
            when :change
              change(outcome.known, outcome.said)
            end
          end
          []
        end

        private

        def prepare(_rows)
          rows = @gym.machines.all
          @by_id = rows.to_h { |row| [row[:id], row] }
          @by_name = rows.to_h { |row| [row[:name].downcase, row] }
          @by_code = rows.reject { |row| row[:code].empty? }.to_h { |row| [row[:code], row] }
        end

        def judge(line, values)
          row = values[:id] ? @by_id[values[:id]] : @by_name[values[:name].downcase]
          check_names(values, row)
          check_lengths(values, row)
          return Outcome.new(line, :add, nil, values, nil) unless row

          Outcome.new(
            line,
            differs?(facts(values), plain(row)) || lengths_differ?(values, row) ? :change : :same,
            nil,
            values,
            row
          )
        end

        # Two machines must not be called the same, and none becomes another kind.
        def check_names(values, row)
          raise Invalid.new(:machine_name_taken, path: "/name") if another?(@by_name[values[:name].downcase], row)
          raise Invalid.new(:machine_code_taken, path: "/code") if another?(@by_code[values[:code]], row)
          raise Invalid.new(:missing, path: "/family", name: "family") unless row || values[:family]
          return if row.nil? || [nil, row[:family]].include?(values[:family])
          raise Invalid.new(:family_stays, path: "/family")
        end

        def another?(found, row) = !found.nil? && found[:id] != row&.fetch(:id)

        # "exercise/name" where a station has several.
        def check_lengths(values, row)
          family = Verglas::Machines::Families.fetch(row ? row[:family] : values[:family])
          values.fetch(:lengths, {}).each { |name, value| check_length(family, name, value) }
          check_loading(values[:loading]) if values[:loading]
        end

        def check_loading(loading)
          SCHEMA.check!("loading", loading)
          Loading::Rig.read(loading)
        rescue Invalid => e
          raise e.below("/loading")
        end

        # A shared one serves every exercise that knows it.
        def check_length(family, name, value)
          exercise, own = name.include?("/") ? name.split("/", 2) : [nil, name]
          families = exercise ? [family.exercises[exercise]].compact : family.exercises.values
          known = families.filter_map { |one| one.constants[own.to_sym] }
          raise Invalid.new(:unknown_constant, path: "/lengths", family: family.id.to_s, name: name) if known.empty?
          return if known.any? { |constant| constant.range.cover?(value) }

          raise Invalid.new(
                  :constant_out_of_range,
                  path: "/lengths",
                  low: known.first.range.min,
                  high: known.first.range.max
                )
        end

        def facts(values)
          facts = values.slice(*FACTS)
          values.key?(:user_mass_limit) ? { **facts, user_mass_limit_kg: values[:user_mass_limit] } : facts
        end

        def plain(row) = row.merge(loading: row[:loading]&.to_h)

        def lengths_differ?(values, row) = values.key?(:lengths) && values[:lengths] != Lengths.of(row)

        def add(values)
          description = described({}, values.fetch(:lengths, {}), Verglas::Machines::Families.fetch(values[:family]))
          @gym.machines.insert(
            family: values[:family],
            description: description,
            by: @by,
            **facts(values),
            **values.slice(:id)
          )
        end

        def change(row, values)
          before = {
            adjusters: row[:adjusters].to_a,
            exercises: row[:exercises].to_h,
            taped: row[:taped].to_h,
            lengths: Lengths.of(row)
          }
          described =
            values[:lengths] && described(before, values[:lengths], Verglas::Machines::Families.fetch(row[:family]))
          @gym.machines.update(row[:id], version: row[:version], by: @by, description: described, **facts(values))
        end

        # before: a description as it stands, whose adjusters stay; what was taped as it is now keeps who did so.
        def described(before, lengths, family)
          own, shared = lengths.partition { |name, _| name.include?("/") }.map(&:to_h)
          exercises =
            family.exercises.keys.compact.to_h do |exercise|
              mine =
                own
                  .select { |name, _| name.start_with?("#{exercise}/") }
                  .transform_keys { |name| name.split("/", 2).last }
              [exercise, { "constants" => mine, "adjusters" => before.dig(:exercises, exercise, "adjusters") || [] }]
            end
          {
            constants: shared,
            adjusters: before.fetch(:adjusters, []),
            exercises: exercises,
            taped: taped(before, lengths)
          }
        end

        def taped(before, lengths)
          known = before.fetch(:lengths, {})
          at = Time.now.utc.iso8601
          lengths.to_h do |name, value|
            [name, (before.dig(:taped, name) if known[name] == value) || { "by" => @by, "at" => at }]
          end
        end
      end
    end
  end
end
