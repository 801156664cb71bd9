# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A machine as a line of a list.
      module Machine
        def self.summary(row)
          { id: row[:id], name: row[:name], place: row[:place], family: row[:family],
            family_name: Formats::Words.say("families.#{row[:family]}"),
            adjusters: row[:adjusters].map { |adjuster| { label: adjuster["label"], name: Formats::Words.adjuster(adjuster["label"]), marks: adjuster["marks"] } } }
        end
      end
    end
  end
end
