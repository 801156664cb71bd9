# frozen_string_literal: true

module Verglas
  module Application
    # The table family by caution as a document for whoever reviews it: what each caution bars, narrows and asks on each
    # kind of machine, before anybody cleared it, cleared, cleared with degrees, and with the exercise named. Families
    # that answer alike share a row. docs/cautions.md
    class CautionTable
      # The degrees with which the third column is worked out.
      EXAMPLES = { knee_flexion: [20, 70], hip_flexion: [nil, 60], ankle_dorsiflexion: [nil, 15] }.freeze
      # A machine on which everything can be said: a belt, one leg at a time, plates.
      ROW = { belt: true, one_leg: true, loading: { "kind" => "plates" } }.freeze

      # One caution on one family as a Meeting and its Safety answer it, without a client.
      Case =
        Struct.new(:family, :caution, :low_seat) do
          def machine = @machine ||= Mechanisms::Sample.of(family)
          def machine_row = ROW
          def rules = @rules ||= { **Guidance::HouseRules.chosen, **effect.schools }
          def effect(*) = @effect ||= Guidance::Cautions.effect(family, [caution], low_seat: low_seat)
          def envelope(*) = effect.envelope.joined
          def hard(*) = envelope
          def load_limit_kg(*) = nil
          def rig = nil
          def steeper_bench = Formats::Words.say("caution_table.steeper_bench")
          def belt_squat_first = Formats::Words.say("caution_table.belt_squat")
          def bars = Bars.new(self, family, machine, taped: family.constants.keys).all

          # What is said on a machine of this kind.
          def says
            return bars.map { |bar| barred(bar) }.uniq.join(" ") if bars.any?

            said = [*Told::Narrowed.says(effect, family, rules), *Told::Manner.of(effect, self)]
            said.empty? ? "–" : said.join(" ")
          end

          private

          # In a word or two.
          def barred(bar)
            motion = bar.params[:motion]
            Formats::Words.say(
              "caution_table.#{bar.params.fetch(:until, bar.code)}",
              motion: motion && Formats::Words.say("motions.#{motion}").downcase
            )
          end
        end

      HEAD = <<~MARKDOWN
        # Cautions, family by family

        Written by `bin/cautions-table` from core/data/cautions.yml and what each family says of itself; a spec holds it
        to be current. It is for review by the gym's clinician before use: a cautious starting point, no advice. A
        clinician's degrees, loads and named exercises replace it. Kinds of machine that answer alike share a row; a
        dash is nothing on that machine. Beside what stands here, a degree that a clinician gives for any joint holds on
        every machine which moves or holds that joint; where the machine is not taped, or no angle is claimed, it bars.

      MARKDOWN

      def self.markdown = new.markdown

      def markdown
        [HEAD, *Guidance::Cautions::RULES.each_value.map { |rule| section(rule) }].join("\n")
      end

      private

      def section(rule)
        title = Formats::Words.say("cautions.#{rule.name}.title")
        ["## #{title}\n", "#{asked(rule)}\n", *table(rule), ""].join("\n")
      end

      # What is asked beside the caution itself.
      def asked(rule)
        parts = [
          ("which side" if rule.sided),
          ("which joint" if rule.joints),
          "who cleared it, when",
          ("degrees of #{motion(rule.degrees_of)}" if rule.degrees_of),
          ("which exercises are named" if rule.bars.any? { |bar| bar.until == :named }),
          "a load allowed"
        ]
        rule.asked ? "Asked: #{parts.compact.join(", ")}." : "Asked no longer; kept for who has it."
      end

      def table(rule)
        columns = columns(rule)
        rows = families.group_by { |family| shorter(columns.each_value.map { |caution| cell(family, caution) }) }
        head = ["Families", *columns.keys]
        [
          line(head),
          line(head.map { "---" }),
          *rows.map { |cells, alike| line([alike.map { |family| name(family) }.join(", "), *cells]) }
        ]
      end

      def columns(rule)
        of = ->(**given) { Guidance::Cautions::Caution.of(rule.name, **given) }
        given = EXAMPLES[rule.degrees_of]
        {
          "not cleared" => of[],
          "cleared" => of[cleared: true],
          **(
            if given
              {
                "cleared with #{degrees(rule.degrees_of, given)}" =>
                  of[cleared: true, degrees: Body::Envelope.new({ rule.degrees_of => given })]
              }
            else
              {}
            end
          ),
          **(
            if rule.bars.any? { |bar| bar.until == :named }
              { "cleared, every exercise named" => of[cleared: true, named: families.map(&:id)] }
            else
              {}
            end
          )
        }
      end

      # A low seat bars beside that, where it does.
      def cell(family, caution)
        said, low = [false, true].map { |low_seat| Case.new(family, caution, low_seat).says }
        if low == said || family.constants[:seat_height].nil?
          said
        else
          "#{said} #{Formats::Words.say("caution_table.low_seat")}"
        end
      end

      # What is as before is not said again.
      def shorter(cells)
        cells.each_with_index.map do |cell, index|
          index.positive? && cell == cells[index - 1] ? Formats::Words.say("caution_table.same") : cell
        end
      end

      def families = @families ||= Machines::Families.single
      def name(family) = Formats::Words.say("families.#{family.id}")
      def motion(name) = Formats::Words.say("motions.#{name}").downcase
      def degrees(name, (from, upto)) = "#{motion(name)} #{from ? "#{from} to #{upto}°" : "to #{upto}°"}"
      def line(cells) = "| #{cells.join(" | ")} |"
    end
  end
end
