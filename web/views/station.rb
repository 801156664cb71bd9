# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What a station's bench shows besides its own exercise: the others, the seat they share, what this one gave up for it.
      module Station
        module_function

        def of(bench, gym)
          { exercises: bench.exercises.keys.map { |name| exercise(bench, gym, name) }, shared: bench.shared, gave_up: gave_up(bench), other: other(bench, gym) }
        end

        # fitting_id: the draft that is open, if any.
        def exercise(bench, gym, name)
          draft = gym.fittings.draft(bench.client[:id], bench.machine_row[:id], name)
          { name: name, title: Formats::Words.say("exercises.#{name}"), fitting_id: draft && draft[:id], active: name == bench.exercise }
        end

        def gave_up(bench)
          return if bench.fitting[:state] != "draft" || !bench.station_advice.gave_up?(bench.exercise)

          alone = bench.station_advice.alone[bench.exercise]
          Formats::Words.say("station.gave_up", exercise: Formats::Words.say("exercises.#{bench.exercise}"), marks: marks(bench, alone.marks), alone: band(alone.evaluation.grade),
                                                shared: band(bench.advice.evaluation.grade))
        end

        # Where the other exercise was accepted with another seat: said, since the seat is one.
        def other(bench, gym)
          row = gym.fittings.sibling(bench.client[:id], bench.machine_row[:id], bench.exercise)
          return if row.nil? || bench.fitting[:state] != "draft" || bench.shared.all? { |label| row[:marks].to_h[label] == bench.fitting[:marks].to_h[label] }

          Formats::Words.say("station.other_#{row[:state]}", exercise: Formats::Words.say("exercises.#{row[:exercise]}"), marks: marks(bench, row[:marks].to_h))
        end

        def marks(bench, marks) = bench.shared.map { |label| "#{label} #{marks[label]}" }.join(", ")
        def band(grade) = grade || Formats::Words.say("taping.untaped.grade")
        private_class_method :exercise, :gave_up, :other, :marks, :band
      end
    end
  end
end
