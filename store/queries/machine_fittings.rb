# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Who was fitted on a machine, latest first?
      class MachineFittings
        LIMIT = 50
        LATEST = 1000

        def initialize(gym)
          @gym = gym
        end

        def call(machine_id)
          rows =
            accepted(machine_id)
              .order(Sequel.desc(:accepted_at))
              .limit(LIMIT)
              .select(
                Sequel[:fittings][:id],
                :client_id,
                :exercise,
                :marks,
                :accepted_at,
                :grade,
                Sequel[:clients][:name].as(:client_name),
                Sequel[:clients][:detail_cipher].as(:client_detail_cipher),
                Sequel[:accounts][:name].as(:by_name)
              )
              .all
          Sealed.open_all(:clients, rows, prefix: "client_")
        end

        # The marks that stand on the card of each client of the LATEST fittings of an exercise, of at most so many
        # clients who teach: [{client_id:, id:, version:, marks:}], whoever was there last first.
        def marks(machine_id, exercise, most:)
          teaching = accepted_lately(machine_id).exclude(client_id: @gym.clients.untaught)
          lately = teaching.select(:client_id, :id, :version, :marks, :exercise, :accepted_at)
          latest =
            @gym.db[:lately].where(exercise: exercise).distinct(:client_id).order(:client_id, Sequel.desc(:accepted_at))
          @gym.db[:latest]
            .with(:lately, lately)
            .with(:latest, latest)
            .order(Sequel.desc(:accepted_at))
            .limit(most)
            .select(:client_id, :id, :version, :marks)
            .all
        end

        # The clients of the LATEST fittings on it: whose settings stand on a card, whoever was fitted last first.
        def clients(machine_id, limit:)
          lately = accepted_lately(machine_id).select(:client_id, :accepted_at)
          ids = @gym.db[:lately].with(:lately, lately).group(:client_id)
          latest = ids.order(Sequel.desc(Sequel.function(:max, :accepted_at))).limit(limit).select(:client_id)
          {
            rows: Sealed.open_all(:clients, @gym.clients.dataset.where(id: latest).order(:search_name).all),
            of: ids.select(:client_id).count
          }
        end

        # Of everybody who was fitted on it, in the order of their names, so many from a place on: the latest accepted
        # fitting of each exercise, with who it is. {rows:, of: how many people}
        def latest_of_people(machine_id, from:, most:)
          fitted = @gym.clients.dataset.where(id: of_machine(machine_id).select(:client_id))
          ids = fitted.order(:search_name, :id).offset(from).limit(most).select_map(:id)
          rows = latest(machine_id, ids)
          { rows: rows.sort_by { |row| [ids.index(row[:client_id]), row[:exercise]] }, of: fitted.count }
        end

        # Of these clients on it, the latest accepted fitting of each exercise.
        def latest(machine_id, ids)
          of_machine(machine_id)
            .where(client_id: ids)
            .distinct(:client_id, :exercise)
            .order(:client_id, :exercise, Sequel.desc(:accepted_at))
            .select(:id, :client_id, :exercise, :marks)
            .all
        end

        def accepted_lately(machine_id)
          of_machine(machine_id).order(Sequel.desc(:accepted_at)).limit(LATEST)
        end

        private

        def of_machine(machine_id) = @gym.fittings.dataset.where(machine_id: machine_id, state: "accepted")

        def accepted(machine_id)
          of_machine(machine_id).join(:clients, id: Sequel[:fittings][:client_id]).join(
            :accounts,
            id: Sequel[:fittings][:accepted_by]
          )
        end
      end
    end
  end
end
