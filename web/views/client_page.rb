# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Everything that stands on a client's page: who, the body, the tape, the card, the history.
      module ClientPage
        module_function

        # page: Questions::ClientPage.
        def of(page)
          {
            client: details(page.row),
            own_rules: Rules.own(page.own_rules, page.cautions),
            cautions: Told::Caution.lines(page.cautions),
            asked: asked(page.asking),
            choices: choices(page.row),
            body: Body.dimensions(page.estimation),
            learned: Told::Estimate.learned(page.checked),
            observations: Body.observations(page.row, page.readings, page.estimation, page.ranking),
            ask_for: ask_for(page.readings, page.estimation),
            next: best(page.ranking),
            card: page.card.map { |line| CardLines.line(line) },
            history: page.history.map { |line| Fitting.history_line(line) },
            discarded: page.discarded.map { |line| Fitting.discarded_line(line) },
            machines: page.machines.map { |row, bars| { **Machine.summary(row), lines: lines(row, bars) } }
          }
        end

        # What is done on a machine, and why this client is kept off.
        def lines(row, bars)
          bars.map do |exercise, some|
            { exercise: exercise, name: Told::Names.machine(row[:name], exercise), bars: Told::Barred.of(some) }
          end
        end

        # When cautions were asked about, and whether it is time again.
        def asked(asking) = { day: asking.on&.iso8601, due: asking.due? }

        # What they decided of what is kept of them.
        def choices(row)
          agreed = row[:consented_on] && { day: row[:consented_on].iso8601, text: row[:consent_text] }
          {
            teaches: row[:teaches],
            away_since: row[:away_since]&.iso8601,
            consent: agreed && { **agreed, withdrawn_on: row[:consent_withdrawn_on]&.iso8601 }
          }
        end

        def details(row)
          Client.summary(row).merge(birth_date: row[:birth_date]&.iso8601, body_mass_kg: row[:body_mass_kg]&.to_f)
        end

        # What such a body asks for and nobody has taped.
        def ask_for(readings, estimation)
          estimation.asked_for.map(&:to_s) - readings.map { |reading| reading[:observation] }
        end

        def best(ranking) = ranking.first&.worth_taking? ? ranking.first.observation : nil
        private_class_method :lines, :details, :ask_for, :best
      end
    end
  end
end
