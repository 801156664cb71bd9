# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A client's cautions: what they are, who cleared them, what they do.
      module Cautions
        Line = Told::Caution

        module_function

        # cautions: Questions::ClientCautions.
        def page(cautions)
          rows = cautions.standing
          asking = cautions.asking
          {
            client: Client.summary(cautions.client),
            asked: {
              day: asking.on&.iso8601,
              due: asking.due?
            },
            cautions: rows.map { |row| one(row, among: rows) },
            removed: cautions.removed.map { |row| removed(row) },
            kinds: kinds,
            motions: motions
          }
        end

        # With its note: for the page where it is written.
        def one(row, among: [row])
          {
            **Line.line(row, among: among),
            since: row[:since]&.iso8601,
            note: row[:note],
            version: row[:version],
            by: row[:by_name]
          }
        end

        # Taken out: by whom, when and why.
        def removed(row)
          {
            **Line.line(row),
            version: row[:version],
            removed_by: row[:removed_by_name],
            removed_at: Told.time(row[:removed_at]),
            reason: row[:removal]
          }
        end

        # Every caution, and whether the gym is stricter with it.
        def of_gym(stricter)
          kinds.map { |kind| kind.merge(stricter: stricter.include?(kind[:name].to_s)) }
        end

        # In the order of the table: what is still asked, and what is no longer.
        def kinds
          @kinds ||=
            Verglas::Guidance::Cautions::RULES.each_value.map do |rule|
              {
                name: rule.name,
                title: words(rule.name, :title),
                does: Line.kind(rule.name),
                sided: rule.sided,
                joints: rule.joints ? joints : [],
                asked: rule.asked,
                motion: rule.degrees_of,
                named: nameable(rule)
              }
            end
        end

        def joints
          Verglas::Guidance::CautionRule::JOINTS.keys.map do |joint|
            { name: joint, title: Formats::Words.say("joints.#{joint}") }
          end
        end

        # Families that a clinician may open by name: what the row bars until then.
        def nameable(rule)
          until_named = rule.bars.select { |bar| bar.until == :named }
          families =
            Families.single.select do |family|
              until_named.any? { |bar| bar.on?(family, joint: nil, low_seat: family.constants.key?(:seat_height)) }
            end
          families.map { |family| { family: family.id, title: Formats::Words.say("families.#{family.id}") } }
        end

        def motions
          Verglas::Body::Envelope::MOTIONS.map do |motion|
            { name: motion, title: Formats::Words.say("motions.#{motion}") }
          end
        end

        # On a meeting: what bars the machine, and what is narrowed.
        def on_bench(meeting) = { cautions: on_machine(meeting), bars: bars(meeting), narrowed: narrowed(meeting) }

        # What each does on this machine.
        def on_machine(meeting) = meeting.safety.rows.map { |row| Line.line(row, meeting: meeting) }

        # Why nobody with these cautions, or so heavy, or so young, is fitted on the machine.
        def bars(meeting) = Told::Barred.of(meeting.bars)
        def of_family(safety, family) = Told::Barred.of(safety.bars(family))

        # What cautions and what was measured change here, each said to be of its own source; nil where they change
        # nothing.
        def narrowed(meeting)
          family = meeting.machine.family
          effect = meeting.caution_effect
          parts = {
            cautions: Told::Narrowed.by_cautions(effect, family),
            measured: Told::Narrowed.by_measure(effect, family, meeting.envelope)
          }
          said =
            parts
              .reject { |_, changes| changes.empty? }
              .map { |source, changes| Formats::Words.say("narrowed.#{source}", what: changes.join(", ")) }
          [*said, *Told::Narrowed.schools(family, spared: meeting.spared, rules: meeting.rules)].join(" ")[/.+/]
        end

        def words(name, part) = Line.words(name, part)
        private_class_method :kinds, :joints, :nameable, :motions, :removed, :narrowed, :words
      end
    end
  end
end
