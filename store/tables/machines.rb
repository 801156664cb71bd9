# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # The machines of one gym with a version of their description.
      class Machines
        FACTS = %i[
          name
          code
          place
          state
          state_note
          getting_in
          getting_out
          left_behind
          slack_from_deg
          user_mass_limit_kg
          least_age_years
          cushions_allowed
          belt
          one_leg
          loading
          moves
        ].freeze
        # States in which nobody is fitted on a machine: it is gone, or the gym thinks of buying it.
        OFF_THE_FLOOR = %w[retired considered].freeze
        DESCRIPTION = %i[constants adjusters exercises taped].freeze

        def initialize(gym)
          @gym = gym
        end

        def dataset = @gym.db[:machines].where(gym_id: @gym.id)
        def all = described.order(:place, :name).all

        # Those on which somebody can be fitted; and those that the gym thinks of buying.
        def in_service = described.exclude(Sequel[:machines][:state] => OFF_THE_FLOOR).order(:place, :name).all
        def considered = described.where(Sequel[:machines][:state] => "considered").order(:name).all
        def find(id) = described.first(Sequel[:machines][:id] => id)
        def name_of(id) = dataset.where(id: id).get(:name)

        # Until the transaction ends nobody changes this machine or its description.
        def hold(id) = dataset.where(id: id).for_share.get(:id)

        # A machine as it was described at some time.
        def described_as(id, number) = described(number).first(Sequel[:machines][:id] => id)

        # description: {constants:, adjusters:, exercises:, taped:}; nothing is known of what is left out.
        def insert(family:, description:, by: nil, copied_from: nil, id: nil, **facts)
          ConstraintErrors.translate do
            @gym.db.transaction do
              made =
                dataset
                  .returning(:id)
                  .insert(
                    gym_id: @gym.id,
                    family: family,
                    copied_from: copied_from,
                    **{ id: id }.compact,
                    **columns(facts)
                  )
                  .first[
                  :id
                ]
              describe(made, 1, { constants: {}, adjusters: [], exercises: {}, taped: {}, **description }, by: by)
              made
            end
          end
        end

        # Facts and, where given, a new description; over the version which the writer saw. A description on which a
        # closed fitting rests is kept as it was: the new one gets the next number.
        def update(id, version:, by:, description: nil, **facts)
          ConstraintErrors.translate do
            changed =
              dataset
                .where(id: id, version: version)
                .returning
                .update(**columns(facts), version: Sequel[:version] + 1, updated_at: Sequel::CURRENT_TIMESTAMP)
                .first
            raise Stale, find(id) unless changed

            rewrite(changed, description, by: by) if description
            find(id)
          end
        end

        private

        def columns(facts)
          fields = facts.slice(*FACTS, :replaced_by)
          # What is in service again was replaced by nothing.
          fields[:replaced_by] = nil if fields.fetch(:state, "retired") != "retired"
          %i[loading moves].each { |name| fields[name] = Sequel.pg_json(fields[name]) if fields[name] }
          fields
        end

        def described(number = Sequel[:machines][:description_number])
          dataset
            .join(:machine_descriptions, machine_id: Sequel[:machines][:id], number: number)
            .select_all(:machines)
            .select_append(:number, :constants, :adjusters, :exercises, :taped, :taped_at)
        end

        def rewrite(machine, description, by:)
          number = machine[:description_number]
          rested_on =
            @gym.db[:fittings].where(
              machine_id: machine[:id],
              description_number: number,
              state: %w[accepted stopped taken_back]
            )
          if rested_on.empty?
            @gym.db[:machine_descriptions].where(machine_id: machine[:id], number: number).update(
              taped_by: by,
              taped_at: Sequel::CURRENT_TIMESTAMP,
              **json(description)
            )
          else
            describe(machine[:id], number + 1, description, by: by)
            dataset.where(id: machine[:id]).update(description_number: number + 1)
          end
        end

        def describe(id, number, description, by:)
          @gym.db[:machine_descriptions].insert(machine_id: id, number: number, taped_by: by, **json(description))
        end

        def json(description) = description.slice(*DESCRIPTION).transform_values { |part| Sequel.pg_json(part) }
      end
    end
  end
end
