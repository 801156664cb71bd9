# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Everything that stands on a client's page: who, the body, the tape, the card, the history.
      module ClientPage
        # Which reading is worth taking next, kept until body or machines change.
        RANKED = Application::Recent.new(300)

        module_function

        def of(gym, row)
          readings = gym.readings.signed(row[:id])
          machines = gym.machines.in_service
          checked = Store::Queries::CheckedFittings.new(gym).call(row[:id])
          estimation =
            Application::ClientBody.estimation(row, readings, checked: Application::CheckedFittings.of(checked))
          ranking =
            RANKED.fetch(
              Application::Basis.of(
                row,
                readings,
                checked,
                machines.map { |machine| Application::Basis.machine(machine) }
              )
            ) { ranking(readings, open_machines(machines, checked), estimation) }
          cautions = gym.cautions.of(row[:id])
          {
            client: details(row),
            own_rules: Rules.own(gym, row, cautions),
            cautions: Told::Caution.lines(cautions),
            asked: asked(gym, row),
            body: Body.dimensions(estimation),
            learned: Told::Estimate.learned(checked),
            observations: Body.observations(row, readings, estimation, ranking),
            ask_for: ask_for(readings, estimation),
            next: best(ranking),
            **fittings(
              gym,
              row,
              machines,
              readings: readings,
              known: {
                checked_rows: checked,
                caution_rows: cautions
              }
            ),
            machines:
              machines.map do |machine|
                { **Machine.summary(machine), bars: bars(gym, row, machine, cautions, estimation) }
              end
          }
        end

        # The card, and what was closed before.
        def fittings(gym, row, machines, **known)
          card = Store::Queries::ClientCard.new(gym)
          {
            card: CardLines.of(gym, row, card.call(row[:id]), machines: machines, **known),
            history: card.history(row[:id]).map { |line| Fitting.history_line(line) },
            discarded:
              Store::Queries::DiscardedFittings
                .new(gym)
                .call(client_id: row[:id])
                .map { |line| Fitting.discarded_line(line) }
          }
        end

        # Why this client is kept off, by exercise ("" on a machine with one); nothing where nobody is.
        def bars(gym, row, machine, cautions, estimation)
          safety = Application::Safety.new(gym, client: row, machine_row: machine, rows: cautions) { estimation }
          Machines::Families
            .fetch(machine[:family])
            .exercises
            .to_h { |name, family| [name.to_s, Cautions.of_family(safety, family)] }
            .reject { |_, bars| bars.empty? }
        end

        # When cautions were asked about, and whether it is time again.
        def asked(gym, row)
          Application::Asking.new(gym, row).then { |asking| { day: asking.on&.iso8601, due: asking.due? } }
        end

        def details(row)
          Client.summary(row).merge(birth_date: row[:birth_date]&.iso8601, body_mass_kg: row[:body_mass_kg]&.to_f)
        end

        # Those whose settings are still open: in use, and not checked by eye for this client.
        def open_machines(machines, checked)
          settled = checked.map { |fitting| fitting[:id] }
          machines.select { |machine| machine[:state] == "in_use" && !settled.include?(machine[:id]) }
        end

        def ranking(readings, machines, estimation)
          gradients = machines.flat_map { |machine| gradients(machine, estimation.met) }
          Verglas::Body::NextReading.rank(
            estimate: estimation.estimate,
            gradients: gradients,
            taken: readings.map { |reading| reading[:observation].to_sym }
          )
        end

        def gradients(row, estimate)
          Store::Tables::Machines
            .exercises(row)
            .flat_map do |exercise|
              machine = Store::Tables::Machines.value(row, exercise: exercise)
              Verglas::Fitting::Requirement.gradients(
                machine: machine,
                estimate: estimate,
                wishes: Verglas::Mechanisms::Wishes.for(machine.family)
              )
            end
        end

        # What such a body asks for and nobody has taped.
        def ask_for(readings, estimation)
          estimation.asked_for.map(&:to_s) - readings.map { |reading| reading[:observation] }
        end

        def best(ranking) = ranking.first&.worth_taking? ? ranking.first.observation : nil
      end
    end
  end
end
