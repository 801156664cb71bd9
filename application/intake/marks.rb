# frozen_string_literal: true

module Verglas
  module Application
    class Intake
      # Adjusters with their marks, one mark a row, in the order in which they stand. An adjuster that is named is
      # described anew, whole; the others of its machine stay. Where one row of a machine is refused, all of them are;
      # and as a row that cannot be read may belong to any, a table with one is not taken in.
      class Marks < Sheet
        WALK_ROUND = %i[side handle unlocks reachable_seated weight_off_first both_sides].freeze

        def key(values) = values.values_at(:machine_id, :machine, :exercise, :adjuster, :mark).join("\n").downcase

        def apart? = false

        # By machine; an outcome a row.
        def check(rows)
          @floor = Floor.new(@gym)
          told = rows.map { |line, values| [line, values, values.is_a?(Invalid) ? values : of_machine(values)] }
          groups = told.reject { |_, _, machine| machine.is_a?(Invalid) }.group_by(&:last)
          judged = groups.to_h { |machine, list| [machine, judge(machine, list)] }
          told.map do |line, values, machine|
            if machine.is_a?(Invalid)
              Outcome.refuse(line, machine)
            else
              Outcome.new(line, *judged.fetch(machine), values, machine)
            end
          end
        end

        def write(outcomes)
          outcomes
            .select { |outcome| outcome.action == :change }
            .group_by(&:known)
            .each do |row, list|
              @gym.machines.update(
                row[:id],
                version: row[:version],
                by: @by,
                description: described(row, list.map(&:said))
              )
            end
          []
        end

        private

        def of_machine(values)
          @floor.find(values)
        rescue Invalid => e
          e
        end

        # [action, why not] of all that a file says of a machine.
        def judge(row, list)
          description = described(row, list.map { |_, values, _| values })
          check_whole(row, description)
          [same?(row, description) ? :same : :change, nil]
        rescue Invalid => e
          [:refuse, e]
        end

        def same?(row, description)
          description.slice(:adjusters, :exercises) ==
            { adjusters: row[:adjusters].to_a, exercises: row[:exercises].to_h }
        end

        # The machine's description with what the rows say.
        def described(row, list)
          parts = Described.parts(row)
          list
            .group_by { |values| values.fetch(:exercise, "") }
            .each do |exercise, rows|
              unless parts.key?(exercise)
                raise Invalid.new(
                        :unknown_exercise,
                        path: "/exercise",
                        exercise: exercise,
                        known: parts.keys.join(", ")
                      )
              end

              parts[exercise] = merged(parts[exercise], rows)
            end
          exercises = row[:exercises].to_h.to_h { |name, part| [name, part.merge("adjusters" => parts[name])] }
          { constants: row[:constants].to_h, taped: row[:taped].to_h, adjusters: parts[""], exercises: exercises }
        end

        def merged(standing, rows)
          named = rows.group_by { |values| values[:adjuster] }.to_h { |label, list| [label, adjuster(label, list)] }
          [
            *standing.map do |adjuster|
              named.delete(adjuster["label"])&.then { |new| kept(adjuster, new) } || adjuster
            end,
            *named.values.map { |new| { "drives" => {}, **new } }
          ]
        end

        # What the rows do not say of an adjuster stays.
        def kept(standing, new)
          round = { **standing.fetch("walk_round", {}), **new.fetch("walk_round", {}) }
          { **standing, **new, **(round.empty? ? {} : { "walk_round" => round }) }
        end

        def adjuster(label, rows)
          said = rows.inject { |first, values| values.merge(first) }
          round = said.slice(*WALK_ROUND).transform_keys(&:to_s)
          drives = said[:moves]&.transform_values { |value| plain(value) }
          {
            "label" => label,
            "marks" => rows.map { |values| values[:mark] },
            "travel" => travel(label, rows),
            **{ "drives" => drives, "walk_round" => round, "same_as" => said[:same_as] }.compact
          }
        end

        # Of every mark or of none.
        def travel(label, rows)
          travel = rows.map { |values| values[:travel] }
          raise Invalid.new(:travel_per_mark, path: "/travel", adjuster: label) unless travel.all? || travel.none?

          travel.map { |value| plain(value) } if travel.all?
        end

        def plain(value) = (value % 1).zero? ? value.to_i : value

        # Everything that is asked of one which is entered by hand.
        def check_whole(row, description)
          family = Verglas::Machines::Families.fetch(row[:family])
          lists = [description[:adjusters], *description[:exercises].each_value.map { |part| part["adjusters"] }]
          lists.flatten(1).each { |adjuster| check_drives(family, adjuster) }
          Verglas::Machines::Tries.check(family.exercises, description[:adjusters], description[:exercises])
          trial = row.merge(description)
          Described.exercises(row).each { |exercise| Described.value(trial, exercise: exercise) }
        end

        def check_drives(family, adjuster)
          known = family.exercises.each_value.flat_map { |one| one.constants.keys.map(&:to_s) }
          strange = adjuster["drives"].keys - known
          return unless strange.any?
          raise Invalid.new(:unknown_constant, path: "/moves", family: family.id.to_s, name: strange.first)
        end
      end
    end
  end
end
