# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A client's card as they carry it on a phone: marks, loads, how to get in and out, what to stop for. It says
      # nothing of anybody's health, nothing that somebody wrote about them, and no name but their first.
      module OwnCard
        module_function

        # own: Questions::OwnCard; now: the server's clock.
        def of(own, now: Time.now)
          card = own.card
          lines = card.benches.filter_map { |meeting| line(meeting) }
          {
            name: card.client[:name].split.first,
            gym: card.gym_row[:name],
            locale: card.gym_row[:locale],
            at: Told.time(now),
            machines: lines.select { |one| one[:open] }.map { |one| one.except(:open) },
            session: own.session ? session(own.session, lines) : [],
            # Why is between them and the gym.
            ask: lines.reject { |one| one[:open] }.map { |one| one[:name] },
            stop: Formats::Words.say("paper.pain")
          }
        end

        # What is done today, in order; of what is closed today nothing is said.
        def session(running, lines)
          open = lines.select { |one| one[:open] }.map { |one| one[:name] }
          running
            .planned
            .blocks
            .flat_map { |block| block.members.map { |one| [one, block.sets] } }
            .select { |one, _| open.include?(one.name) && !running.closed.key?(one.key) }
            .map { |one, sets| { name: one.name, sets: sets, repetitions: one.repetitions } }
        end

        # nil where it cannot be worked out today.
        def line(meeting)
          Application::OneLine.of(meeting.machine_row[:id], -> {}) { told(meeting, SetUp.of(meeting)) }
        end

        def told(meeting, set_up)
          today = set_up[:visit][:today]
          {
            open: set_up[:bars].empty? && meeting.machine_row[:state] == "in_use",
            name: set_up[:machine][:name],
            place: set_up[:machine][:place],
            marks: [*set_up[:lines].map { |one| { name: one[:name], mark: one[:mark] || "–" } }, *set_up[:placed]],
            load: (today ? today[:load][:text] : set_up[:load_text]).to_s,
            light: today && !today[:alone] ? today[:light][:text] : "",
            first: [*set_up[:left_behind][/.+/], *set_up[:aids]].join(" "),
            in: set_up[:getting_in],
            how: (set_up[:allowed] - Told::Allowed.between_staff(meeting)).join(" "),
            out: set_up[:getting_out]
          }
        end
        private_class_method :session, :line, :told
      end
    end
  end
end
