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

        def initialize(gym, row, by:)
          @gym = gym
          @row = row
          @by = by
          @imports = gym.imports
        end

        # rows: [[number, section, record]]. [outcomes, keys].
        def call(rows)
          outcomes = rows.map { |number, section, record| outcome(number, section, record) }
          [outcomes, rows.zip(outcomes).flat_map { |row, outcome| keys(*row, good: !outcome.refused?) }]
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

        # What only the core can tell, by section: names that it does not know, and clearances that nobody signed, would be found where somebody
        # is fitted.
        KNOWN = {
          "equipment" => :equipment, "machines" => :machine, "clients" => :limits, "cautions" => :caution, "fittings" => :fitting, "sets" => :set, "photographs" => :photograph,
          "tempos" => :tempo, "rules" => :rule, "client_rules" => :rule,
          "readings" => ->(record) { Body::Observation.fetch(record["observation"]) },
          "stricter_cautions" => ->(record) { Guidance::Cautions.fetch(record["caution"]) }
        }.freeze
        private_constant :KNOWN

        def known(section, record)
          asked = KNOWN[section]
          asked.is_a?(Symbol) ? send(asked, record) : asked&.call(record)
        end

        def equipment(record) = one_of(record["kind"], Aids::KINDS, "/kind")

        # Of a limit its degrees, of a gate whether it was right.
        def limits(record)
          record.fetch("limits", {}).each do |name, entry|
            gate = Guidance::Gates::ALL.key?(name.to_sym)
            Guidance::Limits.fetch(name) unless gate
            raise Invalid.new(:missing, path: "/limits/#{name}", name: gate ? "right" : "deg") unless entry.key?(gate ? "right" : "deg")
          end
        end

        def caution(record)
          body = record["body"]
          Guidance::Cautions.fetch(body["caution"])
          Guidance::Cautions.check_word(cleared_by: body["cleared_by"].to_s, cleared_on: body["cleared_on"], degrees: body.fetch("degrees", {}), load_to_kg: body["load_to_kg"],
                                        named: body.fetch("named", []))
        end

        def set(record)
          felt, sign = record["how"].values_at("felt", "sign")
          Guidance::Regions.fetch(felt) if felt
          one_of(sign, SIGNS, "/how/sign") if sign
        end

        SIGNS = Guidance::Signs::ALL.keys.map(&:to_s).freeze
        STOPS = ["", *Guidance::Signs::STOPS.map(&:to_s)].freeze
        private_constant :SIGNS, :STOPS

        def fitting(record)
          whole(record)
          record.fetch("signs", []).each { |sign| one_of(sign, SIGNS, "/signs") }
          one_of(record.fetch("stop_sign", ""), STOPS, "/stop_sign")
        end

        def one_of(name, names, path) = names.include?(name) || raise(Invalid.new(:not_allowed, path: path, expected: ""))

        def rule(record) = Guidance::HouseRules.check(record["question"], record["school"])

        # Decoded and written anew like any other: what stands in a file is a stranger's.
        def photograph(record)
          picture = Pictures.plain(record["jpeg"].unpack1("m0"), path: "/jpeg")
          record.merge("jpeg" => [picture[:jpeg]].pack("m0"), **picture.slice(:width_px, :height_px).transform_keys(&:to_s))
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

        def tempo(record)
          Verglas::Machines::Families.of_exercise(record["family"])
          Loading::Tempo.read(record.transform_keys(&:to_sym))
        end

        def machine(record)
          Verglas::Machines::Families.fetch(record["family"])
          Loading::Rig.read(record["loading"]) if record["loading"]
        end

        # A record's own key, also of one that is refused: what points at it is not refused for that; and what it points at.
        def keys(number, section, record, good:)
          own = UNKEYED.include?(section) ? [] : [[number, "#{section}/#{own_key(section, record)}", false]]
          good ? own + references(record).map { |key| [number, key, true] } : own
        end

        def own_key(section, record) = (record["id"] || record.values_at(*Store::Archive::SECTIONS.fetch(section.to_sym).order.map(&:to_s)).join("/")).to_s.downcase.slice(0, 300)

        def references(record)
          rows = REFERS.filter_map { |name, section| record[name] && "#{section}/#{record[name]}" }
          people = record.filter_map { |name, email| email && name.end_with?("_by") && "staff/#{email.to_s.downcase}" }
          (rows + people).uniq - staff
        end

        # Who works here needs not be in the archive.
        def staff = @staff ||= @gym.staff_ids.keys.map { |email| "staff/#{email}" }

        def write(incoming, rows)
          section = rows.first[1].to_sym
          records = section == :photographs ? rows.map { |row| photograph(row.last) } : rows.map(&:last)
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
