# frozen_string_literal: true

require "date"

module Verglas
  module Web
    module Routes
      # Settings that should be looked at again: with why, put off until later, as a calendar.
      module Refits
        def self.registered(app)
          app.get("/api/refits") { reply(Views::Refits.of(Application::RefitsDue.new(gym).call)) }

          app.put("/api/refits/snooze") do
            write_once do
              client = client_row(input[:client_id])
              machine = machine_row(input[:machine_id])
              reason = input[:reason].strip
              raise Invalid.new(:snooze_unexplained, path: "/reason") if reason.empty?

              gym.snoozes.put(
                client[:id],
                machine[:id],
                exercise_of(machine),
                until_day: Date.today + (7 * input[:weeks]),
                reason: reason,
                by: staff[:id]
              )
              Views::Refits.of(Application::RefitsDue.new(gym).call)
            end
          end

          app.get("/api/refits.ics") do
            on_record(nil)
            content_type "text/calendar", charset: "utf-8"
            headers "content-disposition" => "attachment; filename=\"refits.ics\""
            cache_control :private, :no_store
            Views::Refits.calendar(gym.row, Application::RefitsDue.new(gym), today: Date.today, now: Time.now)
          end
        end
      end
    end
  end
end
