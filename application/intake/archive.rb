# frozen_string_literal: true

module Verglas
  module Application
    class Intake
      # A whole gym on its way into one that holds nothing yet: every record is checked by its schema and by what the
      # core knows (Known), everything that it points at has to be in the archive (Pointers), and one that is refused
      # keeps all of it out.
      class Archive
        SCHEMA = Formats::Schema.new("gym")
        # Pieces after which the planner looks at what has come.
        LOOKED_EVERY = 50

        def initialize(gym, row, by:)
          @gym = gym
          @row = row
          @by = by
          @imports = gym.imports
        end

        # rows: [[number, section, record]]. [outcomes, keys].
        def call(rows)
          taken = ids_elsewhere(rows)
          outcomes = rows.map { |number, section, record| outcome(number, section, record, taken) }
          [
            outcomes,
            rows
              .zip(outcomes)
              .flat_map { |(number, section, record), outcome| keys(number, section, record, good: !outcome.refused?) }
          ]
        end

        # Everything, into the gym. Raises Invalid where anything is refused.
        def take
          raise Invalid.new(:gym_not_empty, path: "/kind") unless @gym.empty?
          if @row[:counts].to_h["refuse"].to_i.positive?
            raise Invalid.new(:rows_refused, path: "", count: @row[:counts].to_h["refuse"])
          end

          incoming = Store::Archive::Incoming.new(@gym)
          incoming.settle(@row[:head].to_h.fetch("gym"))
          (1..@row[:pieces]).each do |number|
            write(incoming, @imports.piece(@row[:id], number))
            @gym.expect_many(GROWING) if (number % LOOKED_EVERY).zero?
          end
          @row[:counts].to_h
        end

        private

        def outcome(number, section, record, taken)
          SCHEMA.check!(section, record)
          raise Invalid.new(:id_elsewhere, path: "/id") if taken.include?(record["id"])

          known.check(section, record)
          Outcome.new(number, :add, nil, {}, nil)
        rescue Invalid => e
          Outcome.refuse(number, e.below("/#{section}"), record.slice("name").transform_keys(&:to_sym))
        end

        # Ids under which something of another gym stands: this one holds nothing.
        def ids_elsewhere(rows)
          section = Store::Archive::SECTIONS.fetch(rows.first[1].to_sym)
          Store::Archive::Incoming.new(@gym).taken(section, rows.map { |row| row.last["id"] })
        end

        # A record's own keys, also of one that is refused: what points at it is not refused for that; and what it
        # points at.
        def keys(number, section, record, good:)
          own = pointers.own(section, record).map { |key| [number, key, false] }
          good ? own + pointers.of(section, record).map { |key| [number, key, true] } : own
        end

        # Machines are read only for what stands on them: most pieces of a file do not.
        def known = @known ||= Known.new { described }
        def pointers = @pointers ||= Pointers.new(@gym.staff_ids.keys)

        # {machine's id => [its record, {number => description}]}, of those that are as the schema says.
        def described
          @described ||=
            machine_rows.each_with_object({}) do |(_, section, record), found|
              if section == "machines"
                found[record["id"]] = [record, {}]
              else
                found[record["machine_id"]]&.last&.store(record["number"], record)
              end
            end
        end

        def sound?(section, record)
          SCHEMA.check!(section, record)
          true
        rescue Invalid
          false
        end

        # They stand before what refers to them.
        def machine_rows
          pieces = (1..@row[:pieces]).lazy.map { |number| @imports.piece(@row[:id], number) }
          before = pieces.take_while { |rows| SECTIONS.index(rows.first[1]) <= SECTIONS.index("machine_descriptions") }
          before
            .select { |rows| MACHINES.include?(rows.first[1]) }
            .to_a
            .flatten(1)
            .select { |_, section, record| sound?(section, record) }
        end

        SECTIONS = Store::Archive::SECTIONS.keys.map(&:to_s).freeze
        MACHINES = %w[machines machine_descriptions].freeze
        private_constant :SECTIONS, :MACHINES

        def write(incoming, rows)
          section = rows.first[1].to_sym
          records = section == :photographs ? rows.map { |row| known.photograph(row.last) } : rows.map(&:last)
          incoming.write(Store::Archive::SECTIONS.fetch(section), records)
          tell_of(records.map { |record| record["id"] }) if section == :clients
        end

        # Cautions that were left out are not known to be none.
        def tell_of(ids)
          @gym.trail.add_all(MADE, ids, by: @by)
          @gym.cautions.add_to_all(ids, NOT_ASKED, by: @by) unless @row[:head].to_h["health_notes"]
        end
      end
    end
  end
end
