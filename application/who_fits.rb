# frozen_string_literal: true

module Verglas
  module Application
    # Who of a gym's people fits the machines that train one joint action, and those that it thinks of buying, at the
    # best marks of each, as far as each body is known and by the gym's rules, without anybody's cautions; and whom none
    # of those that are here fits.
    class WhoFits
      # Where somebody is fitted.
      FITS = ["in line", "close"].freeze
      # counts: {band => people}
      OnMachine =
        Struct.new(:machine_id, :exercise, :name, :counts, :considered) do
          def fit = counts.values_at(*FITS).compact.sum
        end
      # machines: [OnMachine], those that fit most people first; nobody: clients' rows whom none fits; asked: how many
      # people; of: how many there are.
      Answer = Struct.new(:machines, :nobody, :asked, :of)

      def self.of(gym, action) = new(gym, action).answer

      # Joint actions of a gym's machines in service, by name.
      def self.actions(gym) = new(gym, nil).actions

      def initialize(gym, action)
        @gym = gym
        @action = action
      end

      def actions
        all = rows.flat_map { |row| Machines::Families.fetch(row[:family]).exercises.values.map(&:action) }
        all.compact.uniq
      end

      def answer
        places
        all = AskedOfAll.of(@gym) { |client, readings| grades(client, readings) }
        Answer.new(machines(all.answers), nobody(all), all.asked, all.of)
      end

      private

      def rows = @rows ||= [*@gym.machines.in_service, *@gym.machines.considered]

      # [[row, exercise, Machine, Wishes]] that are taped far enough to be graded.
      def places
        @places ||=
          rows
            .flat_map { |row| Described.exercises(row).map { |name| [row, name] } }
            .map { |row, name| [row, name, Described.value(row, exercise: name)] }
            .select { |_, _, machine| machine.family.action == @action && machine.family.findings.any? }
            .map { |row, name, machine| [row, name, machine, Mechanisms::Wishes.for(machine.family, **rules(machine))] }
      end

      def rules(machine) = Guidance::HouseRules.wishes(machine.family, chosen)
      def chosen = @chosen ||= Guidance::HouseRules.chosen(gym: @gym.rules.of_gym)

      # Of one person, a band a place.
      def grades(client, readings)
        body = ClientBody.estimation(client, readings).met.dimensions
        places.map do |_, _, machine, wishes|
          solved = Fitting::Solver.new(machine: machine, body: body, wishes: wishes).solutions.first
          Machines::SEVERITIES[solved.worst]
        end
      end

      def machines(grades)
        all =
          places.each_with_index.map do |(row, name, _), index|
            OnMachine.new(
              row[:id],
              name.to_s,
              Told::Names.machine(row[:name], name.to_s),
              grades.map { |one| one[index] }.tally,
              row[:state] == "considered"
            )
          end
        all.sort_by { |one| [-one.fit, -one.counts.fetch(FITS.first, 0), one.name] }
      end

      def nobody(all)
        return [] if places.empty?

        here = places.each_index.reject { |index| places[index].first[:state] == "considered" }
        all.rows.zip(all.answers).reject { |_, bands| bands.values_at(*here).intersect?(FITS) }.map(&:first)
      end
    end
  end
end
