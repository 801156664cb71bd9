# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Who did what in this gym, the latest first? With whom or what it was done to, as far as that is still there.
      class AuditTrail
        PAGE = 100

        def initialize(gym)
          @gym = gym
        end

        # before: id of the last row of the page before; of: of one client or machine, what was done to their fittings
        # too.
        def call(before: nil, of: nil)
          page = @gym.db[Tables::Trail::TABLE].where(gym_id: @gym.id).order(Sequel.desc(:id)).limit(PAGE)
          page = page.where { id < before } if before
          page = page.where(subject: subjects(of)) if of
          named(page).all
        end

        # Every page of it.
        def all(of:)
          rows = []
          loop do
            page = call(before: rows.last&.fetch(:id), of: of)
            rows.concat(page)
            return rows if page.size < PAGE
          end
        end

        private

        # The id itself, and those of the fittings that are about it.
        def subjects(id)
          fittings = @gym.fittings.dataset.where(Sequel.|({ client_id: id }, { machine_id: id })).select(:id)
          @gym.db.select(Sequel.cast(id, :uuid)).union(fittings, all: true, from_self: false)
        end

        ENTRY, FITTING, SET, VISIT, CLIENT, MACHINE =
          %i[entry fittings sets visits clients machines].map { |table| Sequel[table] }
        SHOWN = [
          ENTRY[:id],
          ENTRY[:at],
          ENTRY[:action],
          Sequel[:accounts][:name].as(:by),
          CLIENT[:id].as(:client_id),
          CLIENT[:name].as(:client_name),
          MACHINE[:id].as(:machine_id),
          MACHINE[:name].as(:machine_name),
          FITTING[:id].as(:fitting_id)
        ].freeze
        # A subject is a client, a machine, or a fitting or set of both.
        OF =
          { client: [CLIENT, :client_id], machine: [MACHINE, :machine_id] }.transform_values do |table, name|
            { table[:id] => Sequel.function(:coalesce, FITTING[name], VISIT[name], ENTRY[:subject]) }
          end
        private_constant :ENTRY, :FITTING, :SET, :VISIT, :CLIENT, :MACHINE, :SHOWN, :OF

        def named(page)
          @gym.db[page.as(:entry)]
            .left_join(:accounts, id: ENTRY[:account_id])
            .left_join(:fittings, id: ENTRY[:subject])
            .left_join(:sets, id: ENTRY[:subject])
            .left_join(:visits, id: SET[:visit_id])
            .left_join(:clients, { **OF[:client], CLIENT[:gym_id] => @gym.id })
            .left_join(:machines, { **OF[:machine], MACHINE[:gym_id] => @gym.id })
            .order(Sequel.desc(ENTRY[:id]))
            .select(*SHOWN)
        end
      end
    end
  end
end
