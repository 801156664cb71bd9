# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # How people would sit on a machine as far as it is taped, and what is odd about its lengths.
      module Taping
        module_function

        # Ways to stand up to which it is answered at once, while somebody types; a machine of more is computed apart.
        QUICK_TRIES = 2000

        # typed: the unit of lengths where somebody types them, "cm" or "in".
        def trial(taping, typed = "cm")
          machine = taping.machine
          if machine.tries > QUICK_TRIES
            Application::Apart.compute { tried(taping, machine, typed) }
          else
            tried(taping, machine, typed)
          end
        end

        def tried(taping, machine, typed)
          {
            told: machine.graded.map { |code| Formats::Words.say("findings.#{code}.title") },
            remarks: taping.remarks.map { |remark| remark(remark, machine, typed) },
            people: Verglas::Body::People.three.map { |name, estimate| person(name, estimate, machine) },
            drawing: drawing(taping)
          }
        end

        # Remarks as sentences.
        def remark(remark, machine, typed)
          {
            code: remark.code,
            constants: remark.constants,
            says: send(:"#{remark.code}_words", remark, machine, typed)
          }
        end

        def person(name, estimate, machine)
          advice =
            Verglas::Fitting::Advice.new(
              machine: machine,
              estimate: estimate,
              wishes: Verglas::Mechanisms::Wishes.for(machine.family)
            )
          evaluation = advice.evaluation
          {
            name: name,
            title: Formats::Words.say("people.#{name}", height: (estimate.mean[:stature] / 10).round),
            grade: evaluation.grade,
            marks: Told::Names.tags(advice.marks),
            findings:
              evaluation
                .findings
                .sort_by { |finding| -finding.severity }
                .map { |finding| finding(finding, evaluation) },
            scene: Told::Scene.of(evaluation.picture.whole)
          }
        end

        def finding(finding, evaluation)
          {
            code: finding.code,
            title: Formats::Words.say("findings.#{finding.code}.title"),
            band: finding.band,
            says: Told::Finding.says(finding, evaluation)
          }
        end

        def drawing(taping) = Told::Drawing.of(taping.family, taping.constants, taping.adjusters)

        # Lengths behind the pivot are typed without their sign, so they are told without it.
        def unusual_words(remark, machine, typed)
          name = remark.constants.first
          unit = machine.family.constant(name).unit
          value, *usual =
            remark
              .params
              .values_at(:value, :low, :high)
              .map { |number| remark.params[:high].positive? ? number : -number }
          low, high = usual.minmax.map { |number| amount(number, unit, typed) }
          Formats::Words.say(
            "remarks.unusual",
            length: Formats::Words.say("constants.#{name}.title"),
            value: amount(value, unit, typed),
            low: low,
            high: high
          )
        end

        def fits_few_words(remark, machine, typed)
          finding, off, tried, least = remark.params.values_at(:finding, :off, :tried, :least)
          unit = machine.family.findings.fetch(finding).unit
          Formats::Words.say(
            "remarks.fits_few",
            finding: Formats::Words.say("findings.#{finding}.title"),
            off: off,
            tried: tried,
            least: amount(least.abs, unit, typed),
            constants: remark.constants.map { |name| Formats::Words.say("constants.#{name}.title").downcase }.join(", ")
          )
        end

        # In the unit in which it is typed, as exact as it is read.
        def amount(value, unit, typed)
          case unit
          when :mm
            "#{format("%.1f", value / Inputs::Reading::MM_PER.fetch(typed))} #{typed}"
          when :deg
            Told::Finding.amount(value, unit)
          else
            [Told::Load.number(value), *(unit if unit == :kg)].join(" ")
          end
        end

        def seat_behind_back_words(*) = Formats::Words.say("remarks.seat_behind_back")
        def arc_backwards_words(*) = Formats::Words.say("remarks.arc_backwards")

        private_class_method :tried,
                             :person,
                             :finding,
                             :drawing,
                             :amount,
                             :unusual_words,
                             :fits_few_words,
                             :seat_behind_back_words,
                             :arc_backwards_words
      end
    end
  end
end
