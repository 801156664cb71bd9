# frozen_string_literal: true

require "securerandom"

module Verglas
  module Application
    class Intake
      # Fittings that were accepted elsewhere, or on paper: marks, load and who. They are added, never changed; nothing
      # is computed for what was decided long ago, so of a record there is the grade alone.
      class Fittings < Sheet
        GRADES = Verglas::Machines::SEVERITIES.map(&:to_s).freeze
        # A clock that runs a little fast.
        AHEAD_S = 3600
        MODEL = "elsewhere"

        def key(values)
          values[:id] ||
            values
              .values_at(:client_id, :client, :client_detail, :machine_id, :machine, :exercise, :accepted_at)
              .join("\n")
              .downcase
        end

        def write(outcomes)
          @gym.fittings.add_all(
            outcomes.select { |outcome| outcome.action == :add }.map { |outcome| row(outcome.said) }
          )
          []
        end

        private

        def prepare(rows)
          @people = People.new(@gym, rows)
          @floor ||= Floor.new(@gym)
          @known = @gym.fittings.known(rows.filter_map { |values| values[:id] })
          clients = rows.filter_map { |values| @people.maybe(values)&.fetch(:id) }.uniq
          @standing = @gym.fittings.accepted_times(clients)
        end

        def judge(line, values)
          client, machine = [@people, @floor].map { |who| who.find(values) }
          meant = {
            **values,
            client_id: client[:id],
            machine_id: machine[:id],
            exercise: @floor.exercise(machine, values),
            number: machine[:number],
            name: machine[:name]
          }
          return Outcome.new(line, :same, nil, meant, nil) if same?(meant)

          check_time(values)
          check_marks(machine, meant)
          unless [nil, *GRADES].include?(values[:grade])
            raise Invalid.new(:not_allowed, path: "/grade", expected: GRADES.join(", "))
          end

          Outcome.new(line, :add, nil, meant.merge(by: staff(values[:accepted_by])), nil)
        end

        # What is known under its id is either this one or somebody else's.
        def same?(values)
          kept = @known[values[:id]]
          if kept && kept != values.values_at(:client_id, :machine_id, :exercise)
            raise Invalid.new(:id_elsewhere, path: "/id")
          end

          kept ||
            (values[:id].nil? && @standing.include?(values.values_at(:client_id, :machine_id, :exercise, :accepted_at)))
        end

        def check_time(values)
          raise Invalid.new(:in_the_future, path: "/accepted_at") if values[:accepted_at] > Time.now + AHEAD_S
        end

        # Every adjuster, at a mark that it has.
        def check_marks(machine, values)
          known = @floor.marks(machine, values[:exercise])
          given = values.fetch(:marks, {})
          strange = given.keys - known.keys
          raise Invalid.new(:unknown_adjuster, path: "/marks", adjuster: strange.first) if strange.any?

          known.each do |label, marks|
            mark = given.fetch(label) { raise Invalid.new(:mark_missing, path: "/marks", adjuster: label) }
            unless marks.include?(mark)
              raise Invalid.new(:unknown_mark, path: "/marks", adjuster: label, mark: mark, marks: marks.join(", "))
            end
          end
          Described.value(machine, exercise: values[:exercise][/.+/]).check_agreeing(given)
        end

        def row(values)
          work = {
            **Application::Sheet::NO_WORK,
            "load_kg" => values[:load_mass],
            **values.slice(:repetitions, :sets, :last).transform_keys(&:to_s)
          }
          same = values.slice(:client_id, :machine_id, :exercise, :marks, :grade, :knee_off_mm, :by, :accepted_at)
          {
            **same,
            id: values[:id] || SecureRandom.uuid,
            description_number: values[:number],
            roller_seen: values.fetch(:roller_seen, false),
            load: values.fetch(:load, ""),
            work: work,
            **record(values)
          }
        end

        # A record of which the grade alone is kept: what it has nothing of is filled in when it is read (Upcaster).
        def record(values)
          {
            result: {
              "format" => Record::FORMAT,
              "grade" => values[:grade],
              "findings" => []
            },
            computed_from: {
              "model" => MODEL,
              "wishes" => {
              },
              "machine" => {
                "id" => values[:machine_id],
                "name" => values[:name],
                "description_number" => values[:number]
              }
            }
          }
        end
      end
    end
  end
end
