# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # A group made, changed and taken from round to round.
      module Gathering
        module_function

        # given: {name:, work_s:, stations: [key], people: [id]}, people of this gym.
        def add(gym, given, by:)
          gym.circles.add(**given.slice(:name, :work_s, :stations), people: ordered(gym, given), by: by)
        end

        # Whoever stays in a group that rotates goes on as before: late comers take an empty place or the first station,
        # those who leave leave an empty place. Under other stations everything is put in order anew.
        def change(gym, row, given, version:, by:)
          people = goes_on?(row, given) ? gone_on(row, given[:people]) : ordered(gym, given)
          gym.circles.change(
            row[:id],
            version: version,
            by: by,
            **given.slice(:name, :work_s, :stations),
            people: people
          )
        end

        def goes_on?(row, given) = row[:round].positive? && row[:stations].to_a == given[:stations]

        def gone_on(row, people)
          ring = row[:people].to_a.map { |id| id if people.include?(id) }
          (people - ring).inject(ring) { |so_far, id| Rotation.joined(so_far, row[:round], id) }
        end

        def ordered(gym, given) = Rotation.ordered(gym, given[:stations], given[:people], work_s: given[:work_s])
        private_class_method :goes_on?, :gone_on, :ordered
      end
    end
  end
end
