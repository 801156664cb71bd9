# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # Who comes next at one gym's machines: a short list of clients a machine and exercise; and the marks at which it
      # stands now.
      class Queues
        MOST = 12

        def initialize(gym)
          @gym = gym
        end

        # {clients: [id, ...] in their order, standing: marks or nil, version:}; an empty one where nobody waits
        # (version 0).
        def of(machine_id, exercise)
          row = dataset.first(machine_id: machine_id, exercise: exercise)
          return { clients: [], standing: nil, version: 0 } unless row

          { clients: row[:clients].to_a, standing: row[:standing]&.to_h, version: row[:version] }
        end

        # Somebody set the machine to these marks; who waits is left alone. one_part: labels of adjusters that are one
        # part of the machine whichever exercise is done: they stand so for the others too.
        def stands(machine_id, exercise, marks, by:, one_part: [])
          fields = { standing: Sequel.pg_json(marks), updated_by: by, updated_at: Sequel::CURRENT_TIMESTAMP }
          row = { gym_id: @gym.id, machine_id: machine_id, exercise: exercise, version: 0, **fields }
          @gym.db.transaction do
            hold(machine_id) if one_part.any?
            @gym.db[:machine_queues].insert_conflict(target: %i[machine_id exercise], update: fields).insert(**row)
            stand_for_others(machine_id, exercise, marks.slice(*one_part)) if one_part.any?
          end
        end

        # Over the version which the writer saw; raises Stale with what stands there otherwise.
        def put(machine_id, exercise, clients:, version:, by:)
          row =
            change(machine_id, exercise, clients, version, by) ||
              (version.zero? && add(machine_id, exercise, clients, by))
          row || raise(Stale, { queue: of(machine_id, exercise), machine_id: machine_id, exercise: exercise })
        end

        # Somebody is erased: they wait nowhere any more.
        def leave(client_id) = put_for(client_id) { [] }

        # Two records became one: the kept one waits where the other did, once.
        def hand_over(from, into)
          put_for(from) { |clients| clients.include?(into) ? [] : [into] }
        end

        private

        def put_for(client_id)
          dataset
            .where(Sequel.lit("clients::jsonb @> ?::jsonb", ::JSON.generate([client_id])))
            .select(:machine_id, :exercise, :clients)
            .all
            .each do |row|
              clients = row[:clients].to_a
              dataset.where(row.slice(:machine_id, :exercise)).update(
                clients: Sequel.pg_json(clients.flat_map { |id| id == client_id ? yield(clients) : [id] }),
                version: Sequel[:version] + 1
              )
            end
        end

        def dataset = @gym.db[:machine_queues].where(gym_id: @gym.id)

        # In one order, so that two never wait for one another.
        def hold(machine_id) = dataset.where(machine_id: machine_id).order(:exercise).for_update.select_map(:exercise)

        def stand_for_others(machine_id, exercise, marks)
          dataset
            .where(machine_id: machine_id)
            .exclude(exercise: exercise)
            .exclude(standing: nil)
            .select(:exercise, :standing)
            .all
            .each do |row|
              dataset.where(machine_id: machine_id, exercise: row[:exercise]).update(
                standing: Sequel.pg_json(row[:standing].to_h.merge(marks))
              )
            end
        end

        def add(machine_id, exercise, clients, by)
          @gym.db[:machine_queues]
            .insert_conflict
            .returning
            .insert(
              gym_id: @gym.id,
              machine_id: machine_id,
              exercise: exercise,
              clients: Sequel.pg_json(clients),
              updated_by: by
            )
            .first
        end

        def change(machine_id, exercise, clients, version, by)
          dataset
            .where(machine_id: machine_id, exercise: exercise, version: version)
            .returning
            .update(
              clients: Sequel.pg_json(clients),
              version: Sequel[:version] + 1,
              updated_by: by,
              updated_at: Sequel::CURRENT_TIMESTAMP
            )
            .first
        end
      end
    end
  end
end
