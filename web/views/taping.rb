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
            Application::OwnProcess.compute { tried(taping, machine, typed) }
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
          { code: remark.code, constants: remark.constants, says: Told::Remark.says(remark, machine, typed) }
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

        private_class_method :tried, :person, :finding, :drawing
      end
    end
  end
end
