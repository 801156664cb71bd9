# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # Fittings of one gym: one open draft a client, machine and exercise, and what was accepted. A sheet is what a
      # fitting holds: JSON, PLAIN and SEALED by name; what is left out stays as it was. Rows come with what lies
      # encrypted opened.
      class Fittings
        JSON = %i[marks aids creep].freeze
        PLAIN = %i[knee_off_mm roller_seen].freeze
        # What may speak of somebody's health.
        SEALED = %i[load signs work trail flow note cue reason].freeze
        SHEET = [*JSON, *PLAIN, *SEALED].freeze
        DISCARDED_DAYS = 7

        def initialize(gym)
          @gym = gym
        end

        def dataset = @gym.db[:fittings].where(Sequel[:fittings][:gym_id] => @gym.id)
        def find(id) = opened(dataset.first(id: id))
        def draft(client_id, machine_id, exercise = "")
          opened(open_ones(client_id, machine_id).first(exercise: exercise))
        end

        def last_accepted(client_id, machine_id, exercise = "")
          opened(accepted(client_id, machine_id).where(exercise: exercise).first)
        end

        # {client id => row} of several clients, in one statement.
        def last_accepted_of(client_ids, machine_id, exercise = "")
          latest =
            dataset
              .where(machine_id: machine_id, state: "accepted", exercise: exercise, client_id: client_ids)
              .distinct(:client_id)
              .order(:client_id, Sequel.desc(:accepted_at))
          Sealed.open_all(:fittings, latest.all).to_h { |row| [row[:client_id], row] }
        end

        # Whether anybody was fitted on a machine.
        def closed_on?(machine_id) = !dataset.where(machine_id: machine_id).exclude(state: "draft").empty?

        # The fitting of another exercise on the same station, whose seat this one shares: its draft, else the last
        # accepted.
        def sibling(client_id, machine_id, exercise)
          opened(
            open_ones(client_id, machine_id).exclude(exercise: exercise).first ||
              accepted(client_id, machine_id).exclude(exercise: exercise).first
          )
        end

        # Two people may open the same bench at once: the second finds the first one's draft. [row, made here?]
        def open(client_id:, machine_id:, description_number:, marks:, by:, exercise: "", **sheet)
          made =
            dataset
              .insert_conflict
              .returning
              .insert(
                gym_id: @gym.id,
                client_id: client_id,
                machine_id: machine_id,
                exercise: exercise,
                description_number: description_number,
                created_by: by,
                updated_by: by,
                **columns(marks: marks, **sheet)
              )
              .first
          made ? [opened(made), true] : [draft(client_id, machine_id, exercise), false]
        end

        # Until the transaction ends nobody else changes what this one rests on: its client (with lengths, cautions,
        # rules), its machine, and the drafts of both. Locks are taken in one order everywhere: gym, client, machine,
        # fittings by their ids; so that those who write at once wait for one another, and never both.
        # docs/decisions/0003-storage.md
        def hold(id)
          client_id, machine_id = dataset.where(id: id).get(%i[client_id machine_id])
          return unless client_id

          @gym.hold
          @gym.clients.hold(client_id)
          @gym.machines.hold(machine_id)
          hold_drafts(id)
        end

        # Nobody else changes the drafts of its client and machine.
        def hold_drafts(id)
          row = dataset.where(id: id).select(:client_id, :machine_id)
          dataset.where(:state => "draft", %i[client_id machine_id] => row).order(:id).for_update.select_map(:id)
        end

        def save(id, version:, by:, **sheet)
          change(id, version: version, updated_by: by, touched: true, **columns(sheet))
        end

        # What a phone read of a set of an open fitting; answers how many there were.
        def keep_movement(id, kept)
          dataset.where(id: id, state: "draft").update(Sealed.columns(:fittings, { movement: kept }))
        end

        # description_number: of the machine as it now stands, on which the result was computed.
        def accept(id, version:, by:, **closing) = close(id, version: version, by: by, state: "accepted", **closing)

        # Ended at once by a stop sign: kept with what stood there, and never on a card.
        def stop(id, version:, by:, stop_sign:, **closing)
          close(id, version: version, by: by, state: "stopped", stop_sign: stop_sign, **closing)
        end

        # Moves shared marks to the other exercises' drafts of the same client and station.
        def share(row, marks, by:)
          open_ones(row[:client_id], row[:machine_id])
            .exclude(id: row[:id])
            .select(:id, :version, :marks)
            .order(:id)
            .each do |other|
              changed = other[:marks].to_h.merge(marks)
              unless changed == other[:marks].to_h
                change(other[:id], version: other[:version], marks: Sequel.pg_json(changed), updated_by: by)
              end
            end
        end

        # {id => [client, machine, exercise]} of those that stand under these ids, whatever became of them; another
        # gym's are nobody's here.
        def known(ids)
          return {} if ids.empty?

          @gym.db[:fittings]
            .where(id: ids)
            .select(:id, :gym_id, :client_id, :machine_id, :exercise)
            .to_h { |row| [row[:id], row[:gym_id] == @gym.id ? row.values_at(:client_id, :machine_id, :exercise) : []] }
        end

        # {[client, machine, exercise] => rows {id, accepted_at}} of several clients, the oldest first.
        def accepted_of(client_ids)
          return {} if client_ids.empty?

          dataset
            .where(client_id: client_ids, state: "accepted")
            .select(:id, :client_id, :machine_id, :exercise, :accepted_at)
            .order(:accepted_at)
            .all
            .group_by { |row| row.values_at(:client_id, :machine_id, :exercise) }
        end

        # [client, machine, exercise, when] of each.
        def accepted_times(client_ids)
          accepted_of(client_ids).flat_map { |key, rows| rows.map { |row| [*key, row[:accepted_at]] } }.to_set
        end

        ADDED = %i[
          id
          client_id
          machine_id
          exercise
          description_number
          marks
          grade
          knee_off_mm
          roller_seen
          accepted_at
        ].freeze

        # Accepted ones, many at once, as they were decided elsewhere: {**ADDED, load:, work:, result:, computed_from:,
        # by:}.
        def add_all(rows)
          sealed = %i[load work result computed_from]
          signed = %i[created_by updated_by accepted_by]
          names = [
            :gym_id,
            :state,
            :touched,
            *ADDED,
            :created_at,
            :updated_at,
            *Sealed.names(:fittings, sealed),
            *signed
          ]
          values =
            rows.map do |row|
              [
                @gym.id,
                "accepted",
                true,
                *ADDED.map { |name| name == :marks ? ::JSON.generate(row[name]) : row[name] },
                row[:accepted_at],
                row[:accepted_at],
                *Sealed.columns(:fittings, row.slice(*sealed)).values,
                *signed.map { row[:by] }
              ]
            end
          ConstraintErrors.translate { Copy.rows(@gym.db, :fittings, names, values) }
        end

        # Made by mistake: kept with why, and no more on a card nor in what a body was learned from.
        def take_back(id, version:, by:, reason:)
          change(
            id,
            version: version,
            from: "accepted",
            state: "taken_back",
            updated_by: by,
            taken_back_by: by,
            taken_back_at: Sequel::CURRENT_TIMESTAMP,
            **Sealed.columns(:fittings, { taken_back: reason })
          )
        end

        # Those let go within their days that can still be opened again: nothing else was opened in their place.
        def discarded(limit:, **of)
          mine = Sequel[:fittings]
          others =
            @gym.db[Sequel[:fittings].as(:other)].where(
              Sequel[:other][:state] => "draft",
              **%i[client_id machine_id exercise].to_h { |name| [Sequel[:other][name], mine[name]] }
            )
          since = Time.now - (DISCARDED_DAYS * 86_400)
          dataset
            .where(mine[:state] => "discarded", mine[:touched] => true, **of.transform_keys { |name| mine[name] })
            .where(mine[:updated_at] > since)
            .exclude(others.select(1).exists)
            .order(Sequel.desc(mine[:updated_at]))
            .limit(limit)
        end

        # Let go, and kept for DISCARDED_DAYS so that it can be opened again; what was let go before that goes for good.
        def discard(id, version:, by:)
          long_ago = Time.now - (DISCARDED_DAYS * 86_400)
          dataset.where(state: "discarded").where { updated_at < long_ago }.delete
          change(id, version: version, state: "discarded", updated_by: by)
        end

        # A discarded one is a draft again, unless another was opened in its place.
        def reopen(id, version:, by:)
          ConstraintErrors.translate { change(id, version: version, from: "discarded", state: "draft", updated_by: by) }
        end

        private

        # Beside what lies encrypted stand the two numbers which are asked for of many at once.
        def close(id, version:, by:, result:, computed_from:, **fields)
          kept = {
            **fields.slice(:state, :description_number),
            **Sealed.columns(:fittings, { **fields.slice(:stop_sign), result: result, computed_from: computed_from })
          }
          change(
            id,
            version: version,
            **columns(fields),
            **kept,
            updated_by: by,
            accepted_by: by,
            accepted_at: Sequel::CURRENT_TIMESTAMP,
            grade: result[:grade]&.to_s,
            contact_above_ankle_mm: computed_from.dig(:wishes, :contact_above_ankle_mm)&.round(1)
          )
        end

        def opened(row) = Sealed.open(:fittings, row)

        def open_ones(client_id, machine_id)
          dataset.where(client_id: client_id, machine_id: machine_id, state: "draft")
        end
        def accepted(client_id, machine_id)
          dataset.where(client_id: client_id, machine_id: machine_id, state: "accepted").order(
            Sequel.desc(:accepted_at)
          )
        end

        # Only a draft changes, and only the version which the writer saw.
        def change(id, version:, from: "draft", **fields)
          row =
            dataset
              .where(id: id, version: version, state: from)
              .returning
              .update(**fields, version: Sequel[:version] + 1, updated_at: Sequel::CURRENT_TIMESTAMP)
              .first
          opened(row) || raise(Stale, find(id))
        end

        def columns(sheet)
          Sealed
            .columns(:fittings, sheet.slice(*SHEET))
            .to_h { |name, value| [name, JSON.include?(name) ? Sequel.pg_json(value) : value] }
        end
      end
    end
  end
end
