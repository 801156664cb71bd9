# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # Two records of one gym's clients that are one person's: everything of the other one goes to the kept one, but
      # what that has already; the other one stays out of sight with the rest, until the two are taken apart again.
      class Joins
        # What goes over whole.
        WHOLE = %i[fittings visits sessions programmes movements].freeze
        # What goes over where the kept record has none of its kind: by what it is known, what its kind is, and since
        # when it stands so.
        LACKING = { readings: %i[id observation taken_at], client_rules: %i[question question set_at] }.freeze

        def initialize(gym)
          @gym = gym
        end

        # Records that were joined into this one, the latest first: as clients' rows, with joined_at and by_name.
        def of(client_id)
          rows =
            beneath
              .where(joined_into: client_id)
              .join(:client_joins, client_id: Sequel[:clients][:id])
              .left_join(:accounts, id: Sequel[:client_joins][:joined_by])
              .reverse(:joined_at)
              .select_all(:clients)
              .select_append(:joined_at, Sequel[:accounts][:name].as(:by_name), :moved, :taken)
          Sealed.open_all(:clients, rows.all)
        end

        # Takes apart whichever of these were joined into others, to be erased: so that whoever is called alike by now
        # is in nobody's way.
        def apart_to_erase(ids)
          joined = beneath.where(id: ids).exclude(joined_into: nil)
          into = joined.select_map(:joined_into).uniq
          joined.update(detail_digest: Sequel.cast(:id, String))
          into.flat_map { |id| of(id) }.each { |row| apart(row) if ids.include?(row[:id]) }
        end

        # All that were ever joined into these and into one another, as {id:, name:}.
        def under(client_ids)
          rows = beneath.where(joined_into: client_ids).select(:id, :name).all
          rows.empty? ? [] : rows + under(rows.map { |row| row[:id] })
        end

        # Holds both; raises Stale where one has changed since. versions: {id => version}, as the writer saw them.
        def hold(versions)
          versions.sort.each do |id, version|
            @gym.clients.hold_to_write(id)
            raise Stale, @gym.clients.find(id) unless @gym.clients.dataset.where(id: id, version: version).any?
          end
        end

        # taken: names of what the kept one took over of the other.
        def join(from, into, by:, taken:)
          moved = { **WHOLE.to_h { |table| [table, whole(table, from, into)] }, **lacking(from, into) }
          moved[:client_cautions] = @gym.cautions.hand_over(from, into)
          @gym.db[:clients].where(id: from).update(joined_into: into, version: Sequel[:version] + 1)
          @gym.db[:client_joins].insert(
            client_id: from,
            gym_id: @gym.id,
            joined_by: by,
            moved: Sequel.pg_json(moved),
            taken: Sequel.pg_json(taken)
          )
          wait_as(from, into)
        end

        # row: of #of. What was changed at the kept one since stays there.
        def apart(row)
          into = row[:joined_into]
          moved = row[:moved].to_h.transform_keys(&:to_sym)
          ConstraintErrors.translate do
            @gym.db[:clients].where(id: row[:id]).update(joined_into: nil, version: Sequel[:version] + 1)
            WHOLE.each { |table| owned(table, into).where(id: moved[table]).update(client_id: row[:id]) }
            LACKING.each do |table, (known, _, since)|
              back(table, row, known => moved[table], since => ..row[:joined_at])
            end
          end
          @gym.cautions.hand_over(into, row[:id], ids: moved[:client_cautions])
          @gym.db[:client_joins].where(client_id: row[:id]).delete
        end

        private

        def beneath = @gym.db[:clients].where(Sequel[:clients][:gym_id] => @gym.id)
        def owned(table, client_id) = @gym.db[table].where(client_id: client_id)
        def back(table, row, **of) = owned(table, row[:joined_into]).where(of).update(client_id: row[:id])

        def whole(table, from, into)
          ids = owned(table, from).select_map(:id)
          owned(table, from).update(client_id: into)
          ids
        end

        def lacking(from, into)
          LACKING.to_h do |table, (known, kind, _)|
            rows = owned(table, from).exclude(kind => owned(table, into).select(kind))
            names = rows.select_map(known)
            rows.update(client_id: into)
            [table, names]
          end
        end

        # Wherever the other one waits or trains with others, the kept one does, once.
        def wait_as(from, into)
          @gym.queues.hand_over(from, into)
          @gym.circles.hand_over(from, into)
        end
      end
    end
  end
end
