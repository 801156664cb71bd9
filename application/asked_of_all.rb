# frozen_string_literal: true

module Verglas
  module Application
    # A long question about each of a gym's clients, from their row and their readings: computed apart (OwnProcess), of
    # a sample and as many of it as the time allows. What the block needs besides has to be read before.
    module AskedOfAll
      MOST = 120

      # answers: what was said of each, as JSON has it; rows: the clients' rows who were asked; of: how many there are.
      Asked = Struct.new(:answers, :rows, :of) { def asked = answers.size }

      module_function

      def of(gym, &question)
        sample = Store::Queries::ClientsWithReadings.new(gym).call(limit: MOST)
        answers = OwnProcess.compute { |budget| OwnProcess.in_time(sample[:rows], budget, &question) }
        Asked.new(answers, sample[:rows].first(answers.size).map(&:first), sample[:of])
      end
    end
  end
end
