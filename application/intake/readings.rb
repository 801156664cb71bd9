# frozen_string_literal: true

module Verglas
  module Application
    class Intake
      # What the tape said of somebody: one reading of a kind each. One that was taken before the one that stands does
      # not take its place.
      class Readings < Sheet
        def self.check_range(observation, value_mm)
          range = Body::Reading.range_mm(observation.to_sym)
          return if range.cover?(value_mm)

          raise Invalid.new(
                  observation.to_s == "stature" ? :stature_out_of_range : :length_out_of_range,
                  path: "/value",
                  low: "#{range.min / 10} cm",
                  high: "#{range.max / 10} cm"
                )
        end

        def key(values)
          [
            values[:client_id] || values.values_at(:client, :client_detail).compact.join("\n").downcase,
            values[:reading]
          ].join("\n")
        end

        def write(outcomes)
          rows =
            outcomes
              .reject { |outcome| outcome.action == :same }
              .group_by(&:action)
              .transform_values { |list| list.map { |outcome| row(outcome) } }
          @gym.readings.add_all(rows.fetch(:add, []), by: @by)
          @gym.readings.put_all(rows.fetch(:change, []))
          []
        end

        private

        def prepare(rows)
          @people = People.new(@gym, rows)
          clients = rows.filter_map { |values| @people.maybe(values)&.fetch(:id) }.uniq
          @standing = @gym.readings.of_many(clients)
        end

        def judge(line, values)
          client = @people.find(values)
          self.class.check_range(values[:reading], values[:value])
          known = @standing.dig(client[:id], values[:reading])
          wanted = values.merge(client_id: client[:id], staff: staff(values[:taken_by]))
          action = action(known, wanted)
          Outcome.new(
            line,
            action,
            nil,
            wanted,
            known,
            (Changes.reading(values[:reading], known[:value_mm], values[:value]) if action == :change)
          )
        end

        def action(known, values)
          return :add unless known
          return :same if same?(values[:value], known[:value_mm]) && [nil, known[:taken_at]].include?(values[:taken_at])
          if values[:taken_at] && values[:taken_at] < known[:taken_at]
            raise Invalid.new(:older_reading, path: "/taken_at")
          end

          :change
        end

        def row(outcome)
          values = outcome.said
          {
            client_id: values[:client_id],
            observation: values[:reading],
            value_mm: values[:value],
            unit: values.fetch(:unit, "cm"),
            confirmed: values.fetch(:confirmed, false),
            taken_by: values[:staff],
            taken_at: values[:taken_at]
          }
        end
      end
    end
  end
end
