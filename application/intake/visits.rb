# frozen_string_literal: true

require "securerandom"

module Verglas
  module Application
    class Intake
      # Sets that were done, one a row; a row without one is a visit of which nobody wrote more. Added, never changed.
      # They hang on the fitting from which the machine was set up: the one that is named, else the one that stood then.
      class Visits < Sheet
        def key(values)
          visit =
            values[:visit_id] ||
              values
                .values_at(:client_id, :client, :client_detail, :machine_id, :machine, :exercise, :begun_at)
                .join("\n")
                .downcase
          [visit, values[:set]].join("\n") if values[:set] || values[:repetitions].nil?
        end

        def write(outcomes)
          groups =
            outcomes.select { |outcome| outcome.action == :add }.group_by { |outcome| visit_key(outcome.said) }.values
          visits, sets = groups.map { |list| rows(list.map(&:said), list.first.known) }.transpose
          @gym.visits.add_all(visits.to_a.compact)
          @gym.visits.add_sets(sets.to_a.flatten(1))
          []
        end

        private

        def prepare(rows)
          @people = People.new(@gym, rows)
          @floor ||= Floor.new(@gym)
          clients = rows.filter_map { |values| @people.maybe(values)&.fetch(:id) }.uniq
          @fittings = @gym.fittings.accepted_of(clients)
          @visits = @gym.visits.known(clients, rows.filter_map { |values| values[:visit_id] }.uniq)
        end

        def judge(line, values)
          client, machine = [@people, @floor].map { |who| who.find(values) }
          raise Invalid.new(:in_the_future, path: "/begun_at") if values[:begun_at] > Time.now + Fittings::AHEAD_S

          meant = {
            **values,
            client_id: client[:id],
            machine_id: machine[:id],
            exercise: @floor.exercise(machine, values)
          }
          known = visit(meant)
          if known && (known[:numbers].include?(values[:set]) || values[:repetitions].nil?)
            return Outcome.new(line, :same, nil, meant, known)
          end

          if values[:set] && values[:repetitions].nil?
            raise Invalid.new(:missing, path: "/repetitions", name: "repetitions")
          end

          Outcome.new(
            line,
            :add,
            nil,
            {
              **meant,
              fitting: fitting(meant),
              done: staff(values[:done_by]),
              watched: values[:watched_by] && staff(values[:watched_by])
            },
            known
          )
        end

        def visit_key(values) = values[:visit_id] || values.values_at(:client_id, :machine_id, :exercise, :begun_at)

        def visit(values)
          found =
            @visits.find do |row|
              if values[:visit_id]
                row[:id] == values[:visit_id]
              else
                row.values_at(:client_id, :machine_id, :exercise, :begun_at) == visit_key(values)
              end
            end
          if found &&
               found.values_at(:client_id, :machine_id, :exercise) !=
                 values.values_at(:client_id, :machine_id, :exercise)
            raise Invalid.new(:id_elsewhere, path: "/visit_id")
          end

          found
        end

        def fitting(values)
          mine = @fittings.fetch(values.values_at(:client_id, :machine_id, :exercise), [])
          raise Invalid.new(:no_fitting, path: "/fitting_id") if mine.empty?
          if values[:fitting_id]
            return(
              mine.find { |row| row[:id] == values[:fitting_id] } ||
                raise(Invalid.new(:fitting_unknown, path: "/fitting_id"))
            )
          end

          mine.reverse.find { |row| row[:accepted_at] <= values[:begun_at] } || mine.first
        end

        # [the visit's row, nil where it is known, its sets'] of the values of one visit.
        def rows(list, known)
          first = list.first
          sets = list.select { |values| values[:repetitions] }
          id = known ? known[:id] : first[:visit_id] || SecureRandom.uuid
          visit = {
            id: id,
            **first.slice(:client_id, :machine_id, :exercise, :begun_at),
            fitting_id: first[:fitting][:id],
            planned_kg: first[:planned],
            by: first[:done],
            last_at: [*sets.filter_map { |values| values[:done_at] }, first[:begun_at]].max
          }
          taken = known ? known[:numbers] : []
          [known ? nil : visit, sets.map { |values| set(values, id, number(values, taken)) }]
        end

        def number(values, taken) = (values[:set] || (taken.max.to_i + 1)).tap { |number| taken << number }

        def set(values, visit_id, number)
          done =
            Loading::DoneSet.new(
              load_kg: values[:load],
              last: values[:last]&.to_sym,
              reached: values[:range],
              joint: false,
              sign: values[:counts] == "back",
              one_leg: !values[:leg].nil?
            )
          # What it counts for is never more than what it says itself.
          how = {
            last: values[:last],
            reached: values[:range],
            held_back: (true if values[:counts] == "back" && !done.short?)
          }.compact
          {
            id: SecureRandom.uuid,
            visit_id: visit_id,
            number: number,
            load_kg: values[:load],
            repetitions: values[:repetitions],
            leg: values.fetch(:leg, ""),
            kind: values.fetch(:help, ""),
            helped: values.fetch(:helped, 0),
            how: how,
            clean: done.clean? && [nil, "clean"].include?(values[:counts]),
            sends_back: done.sends_back?,
            watched_by: values[:watched],
            done_by: values[:done],
            done_at: values[:done_at] || values[:begun_at]
          }
        end
      end
    end
  end
end
