# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # Fittings of one gym: one open draft a client, machine and exercise, and what was accepted. A sheet is what a fitting
      # holds: JSON, PLAIN, SECRET and SECRET_JSON by name; what is left out stays as it was.
      class Fittings
        JSON = %i[marks aids signs work creep trail].freeze
        PLAIN = %i[load knee_off_mm roller_seen].freeze
        # Text that may speak of somebody's health, by the purpose it is encrypted for.
        SECRET = %i[note cue reason].freeze
        # The steps hold why one was skipped, in somebody's own words.
        SECRET_JSON = %i[flow].freeze
        DISCARDED_DAYS = 7

        def initialize(gym)
          @gym = gym
        end

        def dataset = @gym.db[:fittings].where(Sequel[:fittings][:gym_id] => @gym.id)
        def find(id) = dataset.first(id: id)
        def draft(client_id, machine_id, exercise = "") = open_ones(client_id, machine_id).first(exercise: exercise)

        def last_accepted(client_id, machine_id, exercise = "")
          accepted(client_id, machine_id).where(exercise: exercise).first
        end

        # {client id => row} of several clients, in one statement.
        def last_accepted_of(client_ids, machine_id, exercise = "")
          dataset.where(machine_id: machine_id, state: "accepted", exercise: exercise, client_id: client_ids).distinct(:client_id).order(:client_id,
                                                                                                                                         Sequel.desc(:accepted_at)).as_hash(:client_id)
        end

        # The fitting of another exercise on the same station, whose seat this one shares: its draft, else the last accepted.
        def sibling(client_id, machine_id, exercise)
          open_ones(client_id, machine_id).exclude(exercise: exercise).first || accepted(client_id, machine_id).exclude(exercise: exercise).first
        end

        # Two people may open the same bench at once: the second finds the first one's draft. [row, made here?]
        def open(client_id:, machine_id:, description_number:, marks:, by:, exercise: "", **sheet)
          made = dataset.insert_conflict.returning.insert(
            gym_id: @gym.id, client_id: client_id, machine_id: machine_id, exercise: exercise, description_number: description_number,
            created_by: by, updated_by: by, **columns(marks: marks, **sheet)
          ).first
          made ? [made, true] : [draft(client_id, machine_id, exercise), false]
        end

        # Until the transaction ends nobody else changes the drafts of this one's client and machine: taken in the order of their
        # ids, so that two exercises of a station that are written at once wait for one another, and never both.
        def hold(id)
          row = dataset.where(id: id).select(:client_id, :machine_id)
          dataset.where(state: "draft", %i[client_id machine_id] => row).order(:id).for_update.select_map(:id)
        end

        def save(id, version:, by:, **sheet) = change(id, version: version, updated_by: by, touched: true, **columns(sheet))

        # description_number: of the machine as it now stands, on which the result was computed.
        def accept(id, version:, by:, **closing) = close(id, version: version, by: by, state: "accepted", **closing)

        # Ended at once by a stop sign: kept with what stood there, and never on a card.
        def stop(id, version:, by:, stop_sign:, **closing) = close(id, version: version, by: by, state: "stopped", stop_sign: stop_sign, **closing)

        # Moves shared marks to the other exercises' drafts of the same client and station.
        def share(row, marks, by:)
          open_ones(row[:client_id], row[:machine_id]).exclude(id: row[:id]).each do |other|
            changed = other[:marks].to_h.merge(marks)
            change(other[:id], version: other[:version], marks: Sequel.pg_json(changed), updated_by: by) unless changed == other[:marks].to_h
          end
        end

        # Made by mistake: kept with why, and no more on a card nor in what a body was learned from.
        def take_back(id, version:, by:, reason:)
          change(id, version: version, from: "accepted", state: "taken_back", updated_by: by, taken_back_by: by, taken_back_at: Sequel::CURRENT_TIMESTAMP,
                     taken_back_cipher: Secrets.lock(reason, :taking_back))
        end

        # Those let go within their days that can still be opened again: nothing else was opened in their place.
        def discarded(limit:, **of)
          mine = Sequel[:fittings]
          others = @gym.db[Sequel[:fittings].as(:other)].where(Sequel[:other][:state] => "draft", **%i[client_id machine_id exercise].to_h { |name| [Sequel[:other][name], mine[name]] })
          since = Time.now - (DISCARDED_DAYS * 86_400)
          dataset.where(mine[:state] => "discarded", mine[:touched] => true, **of.transform_keys { |name| mine[name] }).where(mine[:updated_at] > since)
                 .exclude(others.select(1).exists).order(Sequel.desc(mine[:updated_at])).limit(limit)
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

        def close(id, version:, by:, result:, computed_from:, **fields)
          kept = fields.slice(:state, :stop_sign, :description_number)
          change(id, version: version, **columns(fields), **kept, updated_by: by, accepted_by: by, accepted_at: Sequel::CURRENT_TIMESTAMP,
                     result: Sequel.pg_json(result), computed_from: Sequel.pg_json(computed_from))
        end

        def open_ones(client_id, machine_id) = dataset.where(client_id: client_id, machine_id: machine_id, state: "draft")
        def accepted(client_id, machine_id) = dataset.where(client_id: client_id, machine_id: machine_id, state: "accepted").order(Sequel.desc(:accepted_at))

        # Only a draft changes, and only the version which the writer saw.
        def change(id, version:, from: "draft", **fields)
          row = dataset.where(id: id, version: version, state: from).returning.update(**fields, version: Sequel[:version] + 1, updated_at: Sequel::CURRENT_TIMESTAMP).first
          row || raise(Stale, find(id))
        end

        def columns(sheet)
          fields = sheet.slice(*PLAIN)
          JSON.each { |name| fields[name] = Sequel.pg_json(sheet[name]) if sheet.key?(name) }
          SECRET_JSON.each { |name| fields[:"#{name}_cipher"] = Secrets.lock(::JSON.generate(sheet[name]), name) if sheet.key?(name) }
          SECRET.each { |name| fields[:"#{name}_cipher"] = Secrets.lock(sheet[name], name) if sheet.key?(name) }
          fields
        end
      end
    end
  end
end
