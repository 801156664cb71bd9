# frozen_string_literal: true

module Verglas
  module Application
    class Intake
      # A whole gym on its way into one that holds nothing yet: every record is checked by its schema and by what the core knows, every reference has to be
      # in the archive, and one that is refused keeps all of it out.
      class Archive
        SCHEMA = Formats::Schema.new("gym")
        # Which section a column points into.
        REFERS = { "client_id" => :clients, "machine_id" => :machines, "copied_from" => :machines, "fitting_id" => :fittings, "visit_id" => :visits }.freeze
        UNKEYED = %w[nameless_fittings].freeze
        JPEG = "\xFF\xD8\xFF".b

        def initialize(gym, row, by:)
          @gym = gym
          @row = row
          @by = by
          @imports = gym.imports
        end

        # rows: [[number, section, record]]. [outcomes, keys].
        def call(rows)
          outcomes = rows.map { |number, section, record| outcome(number, section, record) }
          good = rows.zip(outcomes).reject { |_, outcome| outcome.refused? }.map(&:first)
          [outcomes, keys(good)]
        end

        # Everything, into the gym. Raises Invalid where anything is refused.
        def take
          raise Invalid.new(:gym_not_empty, path: "/kind") unless @gym.empty?
          raise Invalid.new(:rows_refused, path: "", count: @row[:counts].to_h["refuse"]) if @row[:counts].to_h["refuse"].to_i.positive?

          incoming = Store::Archive::Incoming.new(@gym)
          incoming.settle(@row[:head].to_h.fetch("gym"))
          (1..@row[:pieces]).each { |number| write(incoming, @imports.piece(@row[:id], number)) }
          check_machines
          @row[:counts].to_h
        end

        private

        def outcome(number, section, record)
          SCHEMA.check!(section, record)
          known(section, record)
          Outcome.new(number, :add, nil, {}, nil)
        rescue Invalid => e
          Outcome.refuse(number, e.below("/#{section}"), record.slice("name").transform_keys(&:to_sym))
        end

        # What only the core can tell, by section.
        KNOWN = {
          "machines" => :machine, "fittings" => :whole, "photographs" => :photograph, "rules" => :rule, "client_rules" => :rule,
          "readings" => ->(record) { Body::Observation.fetch(record["observation"]) },
          "cautions" => ->(record) { Guidance::Cautions.fetch(record.dig("body", "caution")) },
          "stricter_cautions" => ->(record) { Guidance::Cautions.fetch(record["caution"]) },
          "sets" => ->(record) { record.dig("how", "felt")&.then { |felt| Guidance::Regions.fetch(felt) } }
        }.freeze
        private_constant :KNOWN

        def known(section, record)
          asked = KNOWN[section]
          asked.is_a?(Symbol) ? send(asked, record) : asked&.call(record)
        end

        def rule(record) = Guidance::HouseRules.check(record["question"], record["school"])

        def photograph(record)
          raise Invalid.new(:not_a_jpeg, path: "/jpeg") unless record["jpeg"].unpack1("m0").start_with?(JPEG)
        rescue ArgumentError
          raise Invalid.new(:not_a_jpeg, path: "/jpeg")
        end

        CLOSED = %w[accepted stopped taken_back].freeze
        private_constant :CLOSED

        # What was decided says by whom and when, and what was seen then; what was not says none of it.
        def whole(record)
          said = record.values_at("accepted_by", "accepted_at", "result", "computed_from")
          return if CLOSED.include?(record["state"]) ? said.all? : said.none?

          raise Invalid.new(:missing, path: "/accepted_at", name: "accepted_at")
        end

        def machine(record)
          Verglas::Machines::Families.fetch(record["family"])
          Loading::Rig.read(record["loading"]) if record["loading"]
        end

        # Each record's own key, and what it points at.
        def keys(rows)
          rows.flat_map do |number, section, record|
            own = UNKEYED.include?(section) ? [] : [[number, "#{section}/#{own_key(section, record)}", false]]
            own + references(record).map { |key| [number, key, true] }
          end
        end

        def own_key(section, record) = record["id"] || record.values_at(*Store::Archive::SECTIONS.fetch(section.to_sym).order.map(&:to_s)).join("/").downcase

        def references(record)
          rows = REFERS.filter_map { |name, section| record[name] && "#{section}/#{record[name]}" }
          people = record.filter_map { |name, email| email && name.end_with?("_by") && "staff/#{email.to_s.downcase}" }
          (rows + people).uniq - staff
        end

        # Who works here needs not be in the archive.
        def staff = @staff ||= @gym.staff_ids.keys.map { |email| "staff/#{email}" }

        def write(incoming, rows)
          section = rows.first[1].to_sym
          records = rows.map(&:last)
          incoming.write(Store::Archive::SECTIONS.fetch(section), records)
          # Cautions that were left out are not known to be none.
          @gym.cautions.add_to_all(records.map { |record| record["id"] }, NOT_ASKED, by: @by) if section == :clients && !@row[:head].to_h["health_notes"]
        end

        # Each can be read, at every description.
        def check_machines
          @gym.machines.all.each do |row|
            (1..row[:number]).filter_map { |number| @gym.machines.described_as(row[:id], number) }.each do |described|
              Store::Tables::Machines.exercises(described).each { |exercise| Store::Tables::Machines.value(described, exercise: exercise) }
            end
          end
        end
      end
    end
  end
end
