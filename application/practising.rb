# frozen_string_literal: true

module Verglas
  module Application
    # Somebody of the staff at practice: a machine of the gym, as it is described, and a client who is made up. Nothing
    # of it is the gym's: no body, no fitting, nothing that is learned. docs/model.md section 19
    class Practising
      LEVELS = ::Verglas::Practice::MadeUp::LEVELS.keys.map(&:to_s).freeze
      SEEDS = (1..1_000_000)
      # So much can be done before somebody is done.
      MOST = 60
      # As many loads are offered, the lightest first.
      LOADS = 30
      # As many a lead gives at once.
      GIVEN = 10

      def initialize(gym)
        @gym = gym
      end

      # [[machine's row, exercise]] on which one can practise: taped, so that marks can be advised.
      def machines
        @gym.machines.all.flat_map do |row|
          next [] if Described.off_the_floor?(row)

          Described.exercises(row).map { |exercise| [row, exercise.to_s] }.select { |one| practicable?(*one) }
        end
      end

      # Answers the run's row. task: its row and a number, where it was given; else a machine, an exercise and a level,
      # and a seed or none.
      def begin(account_id, task: nil, number: nil, machine_id: nil, exercise: "", level: nil, seed: nil)
        return begin_given(account_id, task, number) if task

        row = @gym.machines.find(machine_id)
        raise Invalid.new(:not_practicable, path: "/machine_id") unless row && practicable?(row, exercise)

        @gym.practice.begin(
          account_id: account_id,
          machine: snapshot(row, exercise),
          level: level,
          seed: seed || SecureRandom.random_number(SEEDS)
        )
      end

      # The same for everybody: GIVEN exercises over these machines, by one level. Answers the task's row.
      def give(name, machines:, level:, by:)
        chosen =
          machines.map do |key|
            row = @gym.machines.find(key["machine_id"])
            raise Invalid.new(:not_practicable, path: "/machines") unless row && practicable?(row, key["exercise"])

            snapshot(row, key["exercise"])
          end
        exercises =
          Array.new(GIVEN) do |index|
            { machine: chosen[index % chosen.size], seed: SecureRandom.random_number(SEEDS), level: level }
          end
        @gym.practice.give(name: name, exercises: exercises, by: by)
      end

      # after: how many actions whoever acts had seen. Answers the row as it is then.
      def act(row, action, after:)
        raise Invalid, :practice_over if row[:ended_at]
        raise Invalid.new(:practice_went_on, path: "/after") unless row[:actions].size == after
        raise Invalid.new(:practice_long, most: MOST) if row[:actions].size >= MOST && action["do"] != "accept"

        play = self.class.play(row, [*row[:actions].to_a, action])
        @gym.practice.go_on(row[:id], play.actions, result: play.over? ? result(play) : {})
      end

      def self.play(row, actions = row[:actions].to_a) = ::Verglas::Practice::Play.new(made_up(row), actions)

      # How it went (Practice::Verdict); nil while it goes on.
      def self.verdict(row) = row[:ended_at] && ::Verglas::Practice::Verdict.new(play(row))

      def self.made_up(row)
        data = row[:machine].to_h
        machine = Machines::Reader.read_known(data, exercise: data["exercise"][/.+/])
        ::Verglas::Practice::MadeUp.draw(machine, seed: row[:seed], level: row[:level], loads: data.fetch("loads", []))
      end

      private

      def begin_given(account_id, task, number)
        given = task[:exercises].to_a.fetch(number - 1) { raise Invalid.new(:not_allowed, path: "/number") }
        @gym.practice.begin(
          account_id: account_id,
          task_id: task[:id],
          number: number,
          machine: given["machine"],
          level: given["level"],
          seed: given["seed"]
        )
      end

      def practicable?(row, exercise)
        machine = Described.machine(row, exercise[/.+/])
        machine.family.told.any? && machine.family.findings.any? && machine.adjusters.any?
      rescue Invalid
        false
      end

      def snapshot(row, exercise)
        { **Described.data(row), "exercise" => exercise, "place" => row[:place], "loads" => loads(row) }
      end

      # What it can be loaded with (kg), rising, in so many steps at most.
      def loads(row)
        return [] unless row[:loading]

        rig = Loading::Rig.read(row[:loading].to_h, pairs: @gym.equipment.plates)
        rig.choices.choices.map { |choice| choice.mass_kg.to_f.round(3) }.uniq.first(LOADS)
      end

      def result(play)
        verdict = ::Verglas::Practice::Verdict.new(play)
        { total: verdict.total, passed: verdict.passed? }
      end
    end
  end
end
