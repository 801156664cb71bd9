# frozen_string_literal: true

module Verglas
  module Application
    class Intake
      # What only the core can tell of an archive's records, by section: names that it does not know, machines that
      # cannot be read, marks that no adjuster has, clearances that nobody signed. All of it would be found where
      # somebody is fitted.
      class Known
        RECORD = Formats::Schema.new("record")
        CHECKS = {
          "equipment" => :equipment,
          "machines" => :machine,
          "machine_descriptions" => :description,
          "photographs" => :photograph,
          "clients" => :limits,
          "readings" => :reading,
          "cautions" => :caution,
          "stricter_cautions" => :stricter,
          "rules" => :rule,
          "client_rules" => :rule,
          "tempos" => :tempo,
          "cues" => :cue,
          "fittings" => :fitting,
          "sets" => :set,
          "queues" => :queue,
          "programmes" => :programme,
          "nameless_fittings" => :nameless
        }.freeze
        # What a sheet holds beside its marks, as the interface has it.
        SHEET = %w[flow work trail creep].freeze
        CLOSED = %w[accepted stopped taken_back].freeze
        SIGNS = Guidance::Signs::ALL.keys.map(&:to_s).freeze
        ABOUT = Guidance::Cues::ABOUT.map(&:to_s).freeze
        STOPS = ["", *Guidance::Signs::STOPS.map(&:to_s)].freeze
        private_constant :RECORD, :CHECKS, :SHEET, :CLOSED, :SIGNS, :ABOUT, :STOPS

        # Yields to {machine's id => [its record, {number => description}]}, when that is asked for.
        def initialize(&read)
          @read = read
        end

        # Raises Invalid.
        def check(section, record) = CHECKS[section]&.then { |name| send(name, record) }

        # Decoded and written anew like any other: what stands in a file is a stranger's.
        def photograph(record)
          picture = Pictures.plain(record["jpeg"].unpack1("m0"), path: "/jpeg")
          record.merge(
            "jpeg" => [picture[:jpeg]].pack("m0"),
            **picture.slice(:width_px, :height_px).transform_keys(&:to_s)
          )
        rescue ArgumentError
          raise Invalid.new(:not_a_jpeg, path: "/jpeg")
        end

        private

        def described = @described ||= @read.call
        def equipment(record) = one_of(record["kind"], Aids::KINDS, "/kind")
        def reading(record) = Body::Observation.fetch(record["observation"])
        def stricter(record) = Guidance::Cautions.fetch(record["caution"])
        def rule(record) = Guidance::HouseRules.check(record["question"], record["school"])

        def machine(record)
          Verglas::Machines::Families.fetch(record["family"])
          Loading::Rig.read(record["loading"]) if record["loading"]
          families = Verglas::Machines::Families.fetch(record["family"]).plain_exercises.values
          Told::Moves.check(record["moves"], families) if record["moves"]
        end

        # It can be read, with every exercise.
        def description(record)
          machine, = described[record["machine_id"]]
          return unless machine && family?(machine)

          Verglas::Machines::Families
            .fetch(machine["family"])
            .plain_exercises
            .each_key { |exercise| read(machine, record, exercise) }
        end

        # Of a limit its degrees, of a gate whether it was right.
        def limits(record)
          record
            .fetch("limits", {})
            .each do |name, entry|
              gate = Guidance::Gates::ALL.key?(name.to_sym)
              limit = gate ? nil : Guidance::Limits.fetch(name)
              unless entry.key?(gate ? "right" : "deg")
                raise Invalid.new(:missing, path: "/limits/#{name}", name: gate ? "right" : "deg")
              end

              possible(limit.range_deg, entry["deg"], "/limits/#{name}") if limit
            end
        end

        def possible(range, deg, path)
          range.cover?(deg) || raise(Invalid.new(:limit_out_of_range, path: path, low: range.min, high: range.max))
        end

        def caution(record)
          body = record["body"]
          Guidance::Cautions.fetch(body["caution"])
          Guidance::Cautions.check_word(
            cleared_by: body["cleared_by"].to_s,
            cleared_on: body["cleared_on"],
            degrees: body.fetch("degrees", {}),
            load_to_kg: body["load_to_kg"],
            named: body.fetch("named", [])
          )
        end

        def set(record)
          felt, sign = record["how"].values_at("felt", "sign")
          Guidance::Regions.fetch(felt) if felt
          one_of(sign, SIGNS, "/how/sign") if sign
          record["how"]["cue"]&.then { |said| one_of(said["about"], ABOUT, "/how/cue") }
        end

        # One of the program's, or the gym's own, about what there is.
        def cue(record)
          one_of(record["about"], ABOUT, "/about")
          one_of(record["name"], Guidance::Cues::ALL.map { |one| one.name.to_s }, "/name") if record["words"].empty?
        end

        def tempo(record)
          Verglas::Machines::Families.of_exercise(record["family"])
          Loading::Tempo.read(record.transform_keys(&:to_sym))
        end

        def queue(record)
          marks(record, record["standing"], record["machine_id"], nil) if record["standing"]
        end

        def nameless(record) = marks(record, record["marks"], record["machine_id"], nil)

        def fitting(record)
          whole(record)
          record.fetch("signs", []).each { |sign| one_of(sign, SIGNS, "/signs") }
          one_of(record.fetch("stop_sign", ""), STOPS, "/stop_sign")
          SHEET.each { |part| RECORD.check!(part, record[part]) if record[part] }
          marks(
            record,
            record["marks"],
            record["machine_id"],
            record["description_number"],
            all: CLOSED.include?(record["state"])
          )
          kept(record) if record["result"]
        end

        # What was decided says by whom and when, and what was seen then; what was not says none of it.
        def whole(record)
          said = record.values_at("accepted_by", "accepted_at", "result", "computed_from")
          return if CLOSED.include?(record["state"]) ? said.all? : said.none?

          raise Invalid.new(:missing, path: "/accepted_at", name: "accepted_at")
        end

        def kept(record)
          result = record["result"]
          RECORD.check!(result.fetch("format", 1) == 1 ? "result_1" : "result", result)
          RECORD.check!("computed_from", record["computed_from"])
        rescue Invalid => e
          raise e.below("/result")
        end

        # Marks that the machine's adjusters have, as it was described then; number: nil for any description. all: of
        # each adjuster one.
        def marks(record, marks, machine_id, number, all: false)
          machine, descriptions = described[machine_id]
          return unless machine && family?(machine)

          those = number ? [descriptions[number]].compact : descriptions.values
          exercise = record["exercise"].to_s[/.+/]
          return if those.empty? || !exercises(machine).include?(exercise)

          found = those.map { |description| strange(read(machine, description, exercise), marks, all) }
          raise found.first if found.all?
        end

        # Why these are no marks of a machine; nil where they are.
        def strange(machine, marks, all)
          all ? machine.indices(marks) : marks.each { |label, mark| machine.adjuster(label).index(mark) }
          machine.check_agreeing(marks) if all
          nil
        rescue Invalid => e
          e
        end

        def read(machine, description, exercise)
          Described.value(
            {
              **machine.slice("id", "family", "name"),
              **description.slice("constants", "adjusters", "exercises")
            }.transform_keys(&:to_sym),
            exercise: exercise
          )
        end

        def exercises(machine)
          Verglas::Machines::Families.fetch(machine["family"]).all_exercises.keys
        end

        # Exercises of actions that there are.
        def programme(record)
          known = Tables[:session][:ranks][:by_action].keys.map(&:to_s)
          record["days"].each { |day| day["exercises"].each { |one| one_of(one["action"], known, "/days") } }
        end

        # One of no known kind is refused for itself.
        def family?(machine) = Verglas::Machines::Families.known?(machine["family"])

        def one_of(name, names, path)
          names.include?(name) || raise(Invalid.new(:not_allowed, path: path, expected: ""))
        end
      end
    end
  end
end
