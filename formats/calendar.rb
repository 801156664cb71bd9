# frozen_string_literal: true

require "icalendar"

module Verglas
  module Formats
    # Days on which something is due, as an iCalendar file (RFC 5545): whole days, each with an id that stays, so that a
    # calendar that reads it again changes what stood there.
    module Calendar
      # days: [{id:, day: Date, title:, text:}]; now: when it was made.
      def self.of(days, name:, now:)
        calendar = Icalendar::Calendar.new
        calendar.prodid = "-//Verglas//EN"
        calendar.append_custom_property("X-WR-CALNAME", name)
        days.each { |due| calendar.add_event(event(due, now)) }
        calendar.to_ical
      end

      def self.event(due, now)
        Icalendar::Event.new.tap do |event|
          event.uid = "#{due[:id]}@verglas"
          event.dtstamp = Icalendar::Values::DateTime.new(now.utc, "tzid" => "UTC")
          event.dtstart = Icalendar::Values::Date.new(due[:day])
          event.dtend = Icalendar::Values::Date.new(due[:day] + 1)
          event.summary = due[:title]
          event.description = due[:text]
          event.transp = "TRANSPARENT"
        end
      end
      private_class_method :event
    end
  end
end
