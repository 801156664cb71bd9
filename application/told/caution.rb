# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # A client's caution, without its note: what it is, whose word it defers to, and what it does: on all machines, as
      # the table has it, or on one, made of what its row does there for this client.
      module Caution
        module_function

        # rows: of store's cautions, all of a client's.
        def lines(rows) = rows.map { |row| line(row, among: rows) }

        # row: of store's cautions; meeting: where it is told on one machine; among: all of the client's.
        def line(row, meeting: nil, among: [row])
          {
            name: row[:caution],
            title: words(row[:caution], :title),
            does: meeting ? here(row, meeting) : everywhere(row, among),
            side: row[:side],
            joint: row[:joint].to_s,
            cleared: !row[:cleared_on].nil?,
            cleared_by: row[:cleared_by],
            cleared_on: row[:cleared_on]&.iso8601,
            degrees: degrees(row),
            named: named(row),
            load_to_kg: row[:load_to_kg]&.to_f
          }
        end

        # What it is, with which side and which joint: on a card, in a step.
        def title(line)
          joint = line[:joint].empty? ? nil : Formats::Words.say("joints.#{line[:joint]}").downcase
          where = [*(Formats::Words.say("cautions.sides.#{line[:side]}") unless line[:side].empty?), *joint].join(" ")
          where.empty? ? line[:title] : Formats::Words.say("cautions.titled", title: line[:title], where: where)
        end

        # All that a clinician allows, in a sentence; nil where nothing was said.
        def allows(line)
          load = line[:load_to_kg] && Formats::Words.say("cautions.to_load", kg: Load.number(line[:load_to_kg]))
          said = [
            *line[:degrees].map { |one| Finding.lower(one[:says]) },
            *line[:named].map { |one| Finding.lower(one[:title]) },
            *load
          ]
          Formats::Words.say("cautions.allows", by: line[:cleared_by], what: said.join(", ")) if said.any?
        end

        # On all machines; kind: before anybody who has it is known.
        def everywhere(row, among)
          values = among.to_h { |one| [one, value(one)] }
          CautionRow.new(values.fetch(row), among: values.values, stricter: row[:stricter]).says
        end

        def kind(name) = CautionRow.new(Guidance::Cautions::Caution.of(name)).says

        # What this row does on a machine, as far as no other of the client's is stricter there.
        def here(row, meeting)
          family = meeting.machine.family
          effect = meeting.safety.alone(row, family).beside(meeting.safety.effect(family))
          bars = effect.bars.map { |bar| Bar.of(:caution, caution: bar.caution, until: bar.until, motion: bar.motion) }
          bars.any? ? untitled(Barred.of(bars), row) : said(effect, family, meeting, row)
        end

        # It stands under its title.
        def untitled(sentences, row)
          sentences
            .map { |text| text.delete_prefix("#{words(row[:caution], :title)}: ").sub(/\A./, &:upcase) }
            .join(" ")
        end

        def said(effect, family, meeting, row)
          sentences = [
            *Narrowed.says(effect, family, meeting.rules),
            *Manner.of(effect, meeting),
            *allowed_kg(row, meeting.safety.effect(family).load_limit_kg)
          ]
          return sentences.join(" ") if sentences.any?

          Formats::Words.say(meeting.safety.rows.one? ? "cautions.nothing_here" : "cautions.nothing_beside_here")
        end

        # least_kg: of all that clinicians allow.
        def allowed_kg(row, least_kg)
          return [] unless row[:load_to_kg] && row[:load_to_kg].to_f <= least_kg

          [Formats::Words.say("cautions.load_to", kg: Load.number(row[:load_to_kg].to_f), by: row[:cleared_by])]
        end

        # What a clinician allows, joint by joint.
        def degrees(row)
          row[:degrees].map do |motion, (from, upto)|
            words = [
              *(Formats::Words.say("motions.from", deg: from.round) if from),
              *(Formats::Words.say("motions.to", deg: upto.round) if upto)
            ]
            {
              motion: motion,
              from: from,
              to: upto,
              says: "#{Formats::Words.say("motions.#{motion}")} #{words.join(" ")}"
            }
          end
        end

        # Exercises that a clinician named.
        def named(row) = row[:named].to_a.map { |id| { family: id, title: Formats::Words.say("families.#{id}") } }

        # The same as the core knows it.
        def value(row)
          Guidance::Cautions::Caution.new(
            name: row[:caution].to_sym,
            cleared: !row[:cleared_on].nil?,
            degrees: Body::Envelope.new(row[:degrees].transform_keys(&:to_sym)),
            load_to_kg: row[:load_to_kg]&.to_f,
            named: row[:named].to_a.map(&:to_sym),
            joint: row[:joint].to_s[/.+/]&.to_sym
          )
        end

        def words(name, part) = Formats::Words.say("cautions.#{name}.#{part}")
        private_class_method :everywhere, :here, :untitled, :said, :allowed_kg, :degrees, :named
      end
    end
  end
end
