# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Which accepted fittings of a client did somebody check by eye? The latest of each machine, oldest first, with
      # the machine as it was described then.
      class CheckedFittings
        # What is asked of the latest on one machine: they are found first, and no other fitting is walked.
        LATELY = %i[
          id
          client_id
          machine_id
          description_number
          exercise
          marks
          aids
          signs_cipher
          knee_off_mm
          roller_seen
          accepted_at
          contact_above_ankle_mm
        ].freeze
        private_constant :LATELY

        def initialize(gym)
          @gym = gym
        end

        # Asked at every step of an adjuster: planned once a connection.
        def call(client_id) = Sealed.open_all(:fittings, prepared.call(client_id: client_id, gym_id: @gym.id))

        # {client id => rows} of several clients, in one statement.
        def of_many(client_ids)
          Sealed
            .open_all(:fittings, latest(seen(client_ids, @gym.id)).order(:accepted_at).all)
            .group_by { |row| row[:client_id] }
        end

        # On one machine the latest of each client, of the LATEST that were accepted there: at most so many clients,
        # those who were there last, oldest first.
        def on(machine_id, most:)
          accepted = MachineFittings.new(@gym).accepted_lately(machine_id)
          lately = accepted.exclude(client_id: @gym.clients.untaught).select(*LATELY)
          rows = latest(checked(@gym.db.from(Sequel.as(:lately, :fittings)).with(:lately, lately)))
          Sealed.open_all(:fittings, rows.order(Sequel.desc(:accepted_at)).limit(most).all).reverse
        end

        private

        def prepared
          Planned.of(@gym.db, :checked_fittings, :select) do
            latest(seen(Sequel.cast(:$client_id, :uuid), Sequel.cast(:$gym_id, :uuid))).order(:accepted_at)
          end
        end

        def seen(client, gym)
          @gym.db[:fittings]
            .where(Sequel[:fittings][:client_id] => client, Sequel[:fittings][:gym_id] => gym)
            .where(Sequel[:fittings][:state] => "accepted")
            .then { |rows| checked(rows) }
        end

        def checked(rows) = rows.where(Sequel.~(knee_off_mm: nil) | :roller_seen)

        def latest(seen)
          each = [Sequel[:fittings][:client_id], Sequel[:fittings][:machine_id]]
          rows =
            seen
              .join(:machines, id: Sequel[:fittings][:machine_id])
              .join(
                :machine_descriptions,
                machine_id: Sequel[:fittings][:machine_id],
                number: Sequel[:fittings][:description_number]
              )
              .distinct(*each)
              .order(*each, Sequel.desc(:accepted_at))
              .select(
                Sequel[:fittings][:client_id],
                Sequel[:fittings][:id].as(:fitting_id),
                Sequel[:fittings][:machine_id].as(:id),
                :exercise,
                :marks,
                :aids,
                :signs_cipher,
                :knee_off_mm,
                :roller_seen,
                :accepted_at,
                Sequel.cast(:contact_above_ankle_mm, Float).as(:contact_above_ankle_mm),
                :family,
                :name,
                :constants,
                :adjusters,
                :exercises
              )
          @gym.db[:latest].with(:latest, rows)
        end
      end
    end
  end
end
