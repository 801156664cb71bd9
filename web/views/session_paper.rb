# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A session as it is printed. It says nothing of anybody's health.
      module SessionPaper
        module_function

        # session: what Session makes; gym_row: the gym's.
        def of(session, gym_row)
          members = session[:blocks].flat_map { |block| block[:members] }
          everywhere = members.size > 1 ? members.map { |one| one[:how] }.inject(:&) : []
          {
            client: session[:client][:name],
            gym: gym_row[:name],
            about: session[:says],
            everywhere: everywhere.join(" "),
            lines: session[:blocks].flat_map { |block| block[:members].map { |one| line(block, one, everywhere) } }
          }
        end

        # everywhere: what is said of all machines, once.
        def line(block, one, everywhere)
          light = one[:light].empty? ? nil : words(:light, load: one[:light])
          {
            begins: words(:begins, minutes: (block[:starts_s] / 60.0).round),
            name: one[:machine][:name],
            place: one[:machine][:place],
            first: one[:fitting_id] ? "" : words(:first_time),
            marks: one[:marks].map { |tag| tag.slice(:name, :mark) },
            load: one[:load],
            how: [light, words(:how, sets: block[:sets], repetitions: one[:repetitions])].compact.join(" "),
            notes: [*one[:aids], *(one[:how] - everywhere)].join(" "),
            sets: block[:sets]
          }
        end

        def words(key, **params) = Formats::Words.say("sessions.paper.#{key}", **params)
        private_class_method :line, :words
      end
    end
  end
end
