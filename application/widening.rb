# frozen_string_literal: true

module Verglas
  module Application
    # Which single change of a machine would bring more of the gym's people in line on it, and how many; by the gym's
    # rules, without anybody's cautions. Asked of an exercise of a station alone.
    class Widening
      # So many are told.
      TOLD = 5

      # change: Fitting::OneChange::Change; people: how many more are in line with it.
      Gain = Struct.new(:change, :people)
      # gains: [Gain], the greatest first, one a kind and adjuster: that of the least change; in_line: how many are
      # today, of those who were asked; asked, of: of how many people of how many.
      Answer = Struct.new(:gains, :in_line, :asked, :of)

      def self.of(gym, row, exercise)
        machine = Described.value(row, exercise: exercise)
        raise Invalid.new(:not_taped, path: "/exercise") if machine.family.findings.empty?

        chosen = Guidance::HouseRules.chosen(gym: gym.rules.of_gym)
        wishes = Mechanisms::Wishes.for(machine.family, **Guidance::HouseRules.wishes(machine.family, chosen))
        new(gym, Fitting::OneChange.new(machine, wishes)).answer
      end

      def initialize(gym, one_change)
        @gym = gym
        @one_change = one_change
      end

      def answer
        all = AskedOfAll.of(@gym) { |client, readings| helped(client, readings) }
        # Of whoever is in line nothing is to be gained.
        Answer.new(gains(all.answers.compact), all.answers.count(nil), all.asked, all.of)
      end

      private

      # nil of somebody who is in line today, else whether with each change.
      def helped(client, readings)
        body = ClientBody.estimation(client, readings).met.dimensions
        @one_change.now(body).zero? ? nil : @one_change.in_line(body)
      end

      def gains(helped)
        all = @one_change.changes.each_with_index.map { |one, at| Gain.new(one, helped.count { |person| person[at] }) }
        best = all.group_by { |gain| [gain.change.kind, gain.change.label] }.values.map { |alike| greatest(alike) }
        best.select { |gain| gain.people.positive? }.sort_by { |gain| -gain.people }.first(TOLD)
      end

      def greatest(alike) = alike.min_by { |gain| [-gain.people, gain.change.mm.to_i] }
    end
  end
end
