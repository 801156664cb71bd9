# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # A fitting with its client and its machine, in one round trip: asked at every step of an adjuster. A draft meets
      # the machine as it is described now, an accepted fitting as it was then. Answers {fitting:, client:, machine:} as
      # their tables give them, or nil. The gym's tempos come along.
      class FittingOnBench
        PARTS = {
          fitting: [
            :fittings,
            [
              :id,
              :gym_id,
              :client_id,
              :machine_id,
              :exercise,
              :description_number,
              :state,
              :marks,
              :aids,
              :knee_off_mm,
              :roller_seen,
              :version,
              :creep,
              :created_at,
              :updated_by,
              :updated_at,
              :accepted_by,
              :accepted_at,
              :taken_back_at,
              *Sealed.names(:fittings, Sealed::FIELDS[:fittings].keys)
            ]
          ],
          client: [
            :clients,
            [
              :id,
              :name,
              :sex,
              :birth_date,
              :body_mass_kg,
              :cautions_asked_on,
              :version,
              *Sealed.names(:clients, %i[detail limits])
            ]
          ],
          machine: [
            :machines,
            %i[
              id
              family
              name
              place
              code
              state
              cushions_allowed
              slack_from_deg
              user_mass_limit_kg
              least_age_years
              getting_in
              moves
              getting_out
              left_behind
              loading
              belt
              one_leg
              description_number
            ]
          ],
          description: [:machine_descriptions, %i[number constants adjusters exercises taped_at]]
        }.freeze
        NAMES =
          PARTS.to_h { |part, (_, columns)| [part, columns.to_h { |column| [column, :"#{part}_#{column}"] }] }.freeze
        COLUMNS =
          PARTS
            .flat_map do |part, (table, columns)|
              columns.map { |column| Sequel[table][column].as(:"#{part}_#{column}") }
            end
            .freeze

        def initialize(gym)
          @gym = gym
        end

        def call(id)
          row = prepared.call(id: id, gym_id: @gym.id)
          return unless row

          @gym.tempos.read(row[:tempos])
          parts = NAMES.transform_values { |names| names.transform_values { |name| row[name] } }
          {
            fitting: Sealed.open(:fittings, parts[:fitting]),
            client: Sealed.open(:clients, parts[:client]),
            machine: parts[:machine].merge(parts[:description])
          }
        end

        private

        # Planned once a connection.
        def prepared = Planned.of(@gym.db, :fitting_on_bench, :first) { joined }

        def number
          Sequel.case(
            { { Sequel[:fittings][:state] => %w[draft discarded] } => Sequel[:machines][:description_number] },
            Sequel[:fittings][:description_number]
          )
        end

        def joined
          @gym.db[:fittings]
            .where(
              Sequel[:fittings][:id] => Sequel.cast(:$id, :uuid),
              Sequel[:fittings][:gym_id] => Sequel.cast(:$gym_id, :uuid)
            )
            .join(:clients, id: Sequel[:fittings][:client_id])
            .join(:machines, id: Sequel[:fittings][:machine_id])
            .join(:machine_descriptions, machine_id: Sequel[:fittings][:machine_id], number: number)
            .select(*COLUMNS, Tables::Tempos.column(@gym.db, Sequel.cast(:$gym_id, :uuid)).as(:tempos))
        end
      end
    end
  end
end
