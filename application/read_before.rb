# frozen_string_literal: true

module Verglas
  module Application
    # Sets of a client on a machine that a phone read before: what one is laid over.
    module ReadBefore
      OTHER = { "left" => "right", "right" => "left" }.freeze

      module_function

      # {:last => what was kept of the latest set of the visits before, leg => of the other leg's today}; leg: which is
      # asked about, "" for both.
      def of(gym, meeting, leg)
        log = Logbook.of(meeting)
        before = log.before.reverse.flat_map { |entry| entry.row ? entry.row[:sets].reverse : [] }
        today = log.going_on ? log.going_on[:sets].reverse : []
        { :last => kept(gym, before, leg), OTHER[leg] => kept(gym, today, OTHER[leg]) }.compact
      end

      # Of the first of these sets that a phone read.
      def kept(gym, sets, leg)
        ids = sets.select { |set| set[:leg] == leg }.map { |set| set[:id] }
        gym.visits.movements_of(ids).min_by { |id, _| ids.index(id) }&.last
      end
      private_class_method :kept
    end
  end
end
