# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # Fittings of one gym: one open draft a client and machine, and what was accepted.
      class Fittings
        def initialize(gym)
          @gym = gym
        end

        def dataset = @gym.db[:fittings].where(Sequel[:fittings][:gym_id] => @gym.id)
        def find(id) = dataset.first(id: id)
        def draft(client_id, machine_id) = dataset.first(client_id: client_id, machine_id: machine_id, state: "draft")

        def last_accepted(client_id, machine_id)
          dataset.where(client_id: client_id, machine_id: machine_id, state: "accepted").order(Sequel.desc(:accepted_at)).first
        end

        # Two people may open the same bench at once: the second finds the first one's draft. [row, made here?]
        def open(client_id:, machine_id:, description_number:, marks:, by:)
          made = dataset.insert_conflict.returning.insert(
            gym_id: @gym.id, client_id: client_id, machine_id: machine_id, description_number: description_number,
            marks: Sequel.pg_json(marks), created_by: by, updated_by: by
          ).first
          made ? [made, true] : [draft(client_id, machine_id), false]
        end

        def save(id, version:, marks:, by:) = change(id, version: version, marks: Sequel.pg_json(marks), updated_by: by)

        def accept(id, version:, marks:, result:, computed_from:, by:)
          change(id, version: version, marks: Sequel.pg_json(marks), state: "accepted", updated_by: by, accepted_by: by,
                     accepted_at: Sequel::CURRENT_TIMESTAMP, result: Sequel.pg_json(result), computed_from: Sequel.pg_json(computed_from))
        end

        def discard(id, version:)
          drafts(id, version).delete.positive? || raise(Stale, find(id))
        end

        private

        # Only a draft changes, and only the version which the writer saw.
        def change(id, version:, **fields)
          row = drafts(id, version).returning.update(**fields, version: Sequel[:version] + 1, updated_at: Sequel::CURRENT_TIMESTAMP).first
          row || raise(Stale, find(id))
        end

        def drafts(id, version) = dataset.where(id: id, version: version, state: "draft")
      end
    end
  end
end
