# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # How a client's page is read: each row once.
      class ClientReading
        def initialize(gym, row)
          @gym = gym
          @row = row
        end

        def to_h
          {
            row: @row,
            readings: readings,
            estimation: estimation,
            checked: checked,
            ranking: ranking,
            own_rules: @gym.rules.of_client(@row[:id]),
            cautions: cautions,
            asking: Asking.new(@gym, @row),
            card: card,
            history: cards.history(@row[:id]),
            discarded: Store::Queries::DiscardedFittings.new(@gym).call(client_id: @row[:id]),
            machines: machines.map { |machine| [machine, bars(machine)] }
          }
        end

        # Kept until body or machines change.
        def ranking
          basis = Fingerprint.of(@row, readings, checked, machines.map { |machine| Fingerprint.machine(machine) })
          Kept.shared.of(:rankings, basis) { ranked }
        end

        private

        def readings = @readings ||= @gym.readings.signed(@row[:id])
        def machines = @machines ||= @gym.machines.in_service
        def checked = @checked ||= Store::Queries::CheckedFittings.new(@gym).call(@row[:id])
        def cautions = @cautions ||= @gym.cautions.of(@row[:id])
        def cards = @cards ||= Store::Queries::ClientCard.new(@gym)

        def estimation
          @estimation ||= ClientBody.estimation(@row, readings, checked: CheckedFittings.of(checked))
        end

        def card
          @card ||=
            CardLines.of(
              @gym,
              @row,
              cards.call(@row[:id]),
              machines: machines,
              readings: readings,
              known: {
                checked_rows: checked,
                caution_rows: cautions
              }
            )
        end

        # {exercise => Bars} of what a machine's lines are of: what is done on it, for what the rules put first; and
        # whatever stands on the card beside.
        def bars(machine)
          whole = Verglas::Machines::Families.fetch(machine[:family])
          safety = Safety.new(@gym, client: @row, machine_row: machine, rows: cautions) { estimation }
          [*whole.exercises.map { |name, family| first(safety, family, name.to_s) }, *on_card(machine)].uniq
            .to_h { |name| [name, safety.bars(whole.exercise(name))] }
        end

        def first(safety, family, name)
          Emphases.first(family, name) do
            chosen = @chosen ||= Guidance::HouseRules.chosen(**@gym.rules.chosen(@row[:id]))
            { **chosen, **safety.effect(family).schools }
          end
        end

        def on_card(machine)
          card.map(&:row).select { |row| row[:machine_id] == machine[:id] }.map { |row| row[:exercise] }
        end

        def ranked
          Body::NextReading.rank(
            estimate: estimation.estimate,
            gradients: open_machines.flat_map { |machine| gradients(machine) },
            taken: readings.map { |reading| reading[:observation].to_sym }
          )
        end

        # Those whose settings are still open: in use, and not checked by eye for this client.
        def open_machines
          settled = checked.map { |fitting| fitting[:id] }
          machines.select { |machine| machine[:state] == "in_use" && !settled.include?(machine[:id]) }
        end

        def gradients(row)
          Described
            .exercises(row)
            .flat_map do |exercise|
              machine = Described.value(row, exercise: exercise)
              Fitting::Requirement.gradients(
                machine: machine,
                estimate: estimation.met,
                wishes: Mechanisms::Wishes.for(machine.family)
              )
            end
        end
      end
    end
  end
end
