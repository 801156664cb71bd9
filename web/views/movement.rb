# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A movement that a phone reads: on the phone, where it lies and what is counted; at the bench, what is read of it
      # while it goes on and afterwards.
      module Movement
        PLACE = "/phone"
        Spoken = Application::Told::Movement

        module_function

        # What a code was made for: a link to be scanned, once. made: {id:, secret:, ends_at:}.
        def made(made, at:) = { id: made[:id], **StaffLink.of(made, at: at, place: PLACE) }

        # movement: Application::Movement; nothing of whom it is.
        def on_phone(movement)
          {
            lies_on: movement.on,
            machine: movement.asked["machine"],
            limit: movement.limit? ? Formats::Words.say("limits.#{movement.asked["limit"]}.title") : nil,
            **Spoken.where(movement),
            planned: movement.asked["planned"],
            arc_deg: movement.limit? ? nil : movement.laid.arc_deg.round(1),
            picture: movement.asked["picture"],
            still_s: Motion::Samples::STILL_S,
            most_s: Application::PhoneReading::READS_S,
            **live(movement)
          }
        end

        # asked: Application::Questions::Movement.
        def at_bench(asked)
          movement = asked.movement
          {
            **asked.row.slice(:id, :leg),
            state: state(asked.row),
            ends_at: Application::Told.time(asked.row[:ends_at]),
            lies_on: movement.on,
            **Spoken.where(movement),
            whole_share: movement.limit? ? nil : movement.laid.whole_share,
            planned: movement.asked["planned"],
            **live(movement),
            review: movement.limit? ? nil : review(movement, asked.meeting),
            beside: asked.beside.map { |name, kept| { name: Spoken.beside(name), curve: curve(kept["found"]) } }
          }
        end

        # A set that was read, as it was kept.
        def kept(kept)
          movement = Application::Movement.new(kept["asked"], kept["found"])
          { whole_share: movement.laid.whole_share, review: review(movement, nil) }
        end

        # What is read so far: count, where the arm is, or how far the limb has gone.
        def live(movement)
          found = movement.found
          {
            count: found.fetch("repetitions", []).size,
            share: found["share"],
            restless: found.fetch("restless", false),
            slipped: found.fetch("slipped", false),
            now_deg: found["now_deg"],
            furthest_deg: found["furthest_deg"]
          }
        end

        def state(row)
          return "over" if row[:ended_at]
          return "reading" if row[:opened_at]

          row[:ends_at] > Time.now ? "waiting" : "late"
        end

        # meeting: nil once it is kept: what was said then is no more to be said.
        def review(movement, meeting)
          told = movement.review
          {
            **Spoken.review(told),
            next: meeting && Spoken.next(told, careful: movement.careful?),
            curve: curve(movement.found),
            sign: meeting && Spoken.sign(told, Verglas::Guidance::Signs.of(meeting.machine))
          }
        end

        # Seconds a step, and the share of the arc at each (in hundredths).
        def curve(found) = { step_s: found.fetch("step_s", 1), shares: found.fetch("curve", []) }
        private_class_method :state, :review, :curve
      end
    end
  end
end
