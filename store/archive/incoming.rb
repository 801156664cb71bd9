# frozen_string_literal: true

require "time"

module Verglas
  module Store
    module Archive
      # Records of an archive as rows of a gym that holds nothing yet. Who is named by an e-mail address has to be among
      # its staff: those of the archive are, once they were written; until somebody gives them a password nobody signs
      # in as them.
      class Incoming
        ID = /\A\h{8}(-\h{4}){3}-\h{12}\z/

        def initialize(gym)
          @gym = gym
          @db = gym.db
        end

        # The gym's own row.
        def settle(fields)
          @db[:gyms].where(id: @gym.id).update(fields.transform_keys(&:to_sym).slice(*GYM))
        end

        # Those of these ids under which something stands already, in whichever gym.
        def taken(section, ids)
          unless section.table != :accounts && @db[section.table].columns.include?(:id) && !section.left.include?(:id)
            return []
          end

          @db[section.table].where(id: ids.grep(ID)).select_map(:id)
        end

        # records: plain data, of one section. Raises Invalid for what the database refuses.
        def write(section, records)
          ConstraintErrors.translate do
            if section.name == :staff
              staff(records)
            else
              Copy.rows(@db, section.table, columns(section), records.map { |record| row(section, record) })
            end
          end
          @ids = nil if section.name == :staff
        end

        private

        def columns(section) = [*([:gym_id] if owned?(section)), *section.columns(@db), *digests(section)]
        def owned?(section) = @db[section.table].columns.include?(:gym_id)
        def digests(section) = { clients: [:detail_digest], cautions: [:caution_digest] }.fetch(section.name, [])

        # Whoever works here already is who the archive says, and may do what they could.
        def staff(records)
          records.each do |record|
            fields = record.slice("email", "name", "length_unit", "created_at", "short_bench").transform_keys(&:to_sym)
            known =
              @db[:accounts].where(gym_id: @gym.id).where(Sequel.function(:lower, :email) => record["email"].downcase)
            @db[:accounts].insert(gym_id: @gym.id, role: record["role"], **fields) if known.update(fields).zero?
          end
        end

        def row(section, record)
          given = record.transform_keys(&:to_sym)
          given[:taped] = given[:taped].transform_values { |one| one.merge("by" => id_of(one["by"])) } if given[:taped]
          sealed = Sealed.columns(section.table, given.slice(*section.sealed.keys)) if section.sealed.any?
          values = { **given, **sealed.to_h, gym_id: @gym.id, **made(section, given) }
          columns(section).map { |name| column(name, values[name]) }
        end

        def made(section, given)
          case section.name
          when :clients
            # Of a time before anybody decided.
            decided = { teaches: given.fetch(:teaches, true), consent_text: given.fetch(:consent_text, "") }
            { detail_digest: Tables::Clients.detail_digest(@gym.id, given.fetch(:detail, "")), **decided }
          when :cautions
            { caution_digest: Tables::Cautions.digests(given[:client_id], given[:body]["caution"]).first }
          when :machines
            { moves: given.fetch(:moves, {}) }
          when :sets
            # Of a time before help was counted.
            { kind: given.fetch(:kind, ""), helped: given.fetch(:helped, 0) }
          else
            {}
          end
        end

        def column(name, value)
          case value
          when String
            value_of(name, value)
          when Hash, Array
            JSON.generate(value)
          else
            value
          end
        end

        def value_of(name, text)
          return id_of(text) if name.end_with?("_by")

          name == :jpeg ? "\\x#{text.unpack1("m0").unpack1("H*")}" : text
        end

        def id_of(email)
          return if email.nil?

          (@ids ||= @gym.staff_ids).fetch(email.to_s.downcase) { raise Invalid.new(:staff_unknown, path: "/staff") }
        end
      end
    end
  end
end
