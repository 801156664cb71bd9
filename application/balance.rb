# frozen_string_literal: true

require "date"

module Verglas
  module Application
    # How a client's curl lies to their extension by all their sets, on whichever machines: where both were lifted, and
    # without any caution. docs/model.md section 13
    module Balance
      ACTIONS = %i[knee_flexion knee_extension].freeze

      module_function

      # Loading::Balance; nil where nothing is told.
      def of(meeting)
        return unless ACTIONS.include?(meeting.machine.family.action) && meeting.safety.rows.none?

        client = meeting.client
        rows = Store::Queries::LiftedSets.new(meeting.gym).call([client[:id]]).fetch(client[:id], [])
        sets = StrengthLog.sets(rows)
        return unless ACTIONS.all? { |action| sets.any? { |set| set.action == action && set.clean? } }

        Loading::Balance.curl_to_extension(
          Loading::Strength.new(
            StrengthLog.person(client, meeting.readings),
            sets,
            now: StrengthLog.week(Date.today),
            factors: factors(meeting.gym, client, sets)
          )
        )
      end

      # Of the machines on which either was lifted.
      def factors(gym, client, sets)
        of_both = sets.select { |set| ACTIONS.include?(set.action) }
        of_both
          .to_h { |set| [set.machine, set.action] }
          .to_h do |key, action|
            factor = MachineFactors.of(gym, *key.split("/", 2), action, without: client[:id])
            [key, [factor.mean, factor.sd**2]]
          end
      end
      private_class_method :factors
    end
  end
end
