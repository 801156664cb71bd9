# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # Who comes next at a machine: benches [Meeting, latest accepted fitting's row or nil]; standing: the marks that
      # stand there now, nil where nobody knows; set_up: Sessions::SetUpTimes. A queue is a group of one station whose
      # ends are open.
      Queue =
        Value.define(:machine_row, :exercise, :benches, :standing, :set_up, :version) do
          def self.of(gym, machine_row, exercise)
            queue = gym.queues.of(machine_row[:id], exercise)
            new(
              machine_row: machine_row,
              exercise: exercise,
              benches: KeptOff.benches(gym, machine_row, exercise, queue[:clients]),
              standing: queue[:standing],
              set_up: Sessions::SetUpTimes.of(gym),
              version: queue[:version]
            )
          end

          # With which load somebody goes on by their log, or begins by what they lift elsewhere, as printed; as it was
          # written down where the machine's loads were never described, "" where nothing is told.
          def load(meeting, last)
            return first_load(meeting) unless last

            today = Told::Today.load(meeting, Logbook.of(meeting))
            today ? today[:load][:text] : last[:load]
          end

          # Ids of clients in the order in which the least is moved, those who are kept off last; nil where they stand
          # so.
          def fewest_moves
            working, others = places.partition { |_, place| place.works? }
            order = ordered(working.map(&:last)).map { |index| working[index].first }
            best = [*order, *others.map(&:first)]
            best unless best == benches.map { |meeting, _| meeting.client[:id] }
          end

          private

          def first_load(meeting)
            first = FirstLoads.of(meeting) or return ""
            Formats::Words.say("sessions.begin_with", load: Told::Load.printed(meeting.rig, first.choice.mass_kg))
          end

          # [[client's id, Sessions::Place]]
          def places
            benches.map do |meeting, last|
              place =
                OneLine.of(machine_row[:id], -> { Sessions::Place.none }) do
                  Sessions::Place.of(meeting, last, nil, instead: -> { [] })
                end
              [meeting.client[:id], place]
            end
          end

          # From the marks that stand there now.
          def ordered(places)
            return [] if places.empty?

            changeover = set_up.changeover(machine_row, exercise)
            stands = standing && places.first.places_of(standing)
            first = places.map { |place| changeover.seconds(stands, place.places) }
            between = places.map { |one| places.map { |other| changeover.seconds(one.places, other.places) } }
            Planning::Orders.new(between, first: first).order((1 << places.size) - 1)
          end
        end
    end
  end
end
