# frozen_string_literal: true

module Verglas
  module Application
    # What a load counts on one machine against what it counts elsewhere, learned from what others lifted on it, and
    # read once an hour. docs/model.md section 13
    module MachineFactors
      # By how many people, those who were there last.
      PEOPLE = 100

      module_function

      # Loading::MachineFactor of a machine's exercise that trains an action, by everybody but one client.
      def of(gym, machine_id, exercise, action, without:)
        readings =
          Kept
            .shared
            .of(:factors, [gym.id, key(machine_id, exercise), Time.now.to_i / 3600]) do
              readings(gym, machine_id, exercise, action)
            end
        Loading::MachineFactor.of(readings.except(without).values)
      end

      def key(machine_id, exercise) = "#{machine_id}/#{exercise}"

      # {client id => what they tell of the machine}
      def readings(gym, machine_id, exercise, action)
        lifted = Store::Queries::LiftedSets.new(gym)
        ids = lifted.on(machine_id, exercise, most: PEOPLE)
        log = lifted.call(ids)
        Store::Queries::People
          .new(gym)
          .call(ids)
          .transform_values do |one|
            person = StrengthLog.person(one.row, one.readings)
            sets = StrengthLog.sets(log.fetch(one.row[:id], []))
            Loading::MachineFactor.reading(key(machine_id, exercise), action, person, sets)
          end
          .compact
      end
      private_class_method :readings
    end
  end
end
