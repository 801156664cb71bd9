# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # At which tempo each family is moved: by the gym's own seconds, else by the school it chose.
      module Tempos
        module_function

        # here: whether the gym has such a machine; by_rule: in figures; tempo: null where the school holds.
        def of(gym)
          families = { rules: Guidance::HouseRules.chosen(gym: gym.rules.of_gym), own: gym.tempos.all, here: here(gym) }
          {
            tempos: Families.single.map { |family| one(family, **families) },
            version: gym.versions[:tempos],
            usual_slow_deg: USUAL[:slow_deg]
          }
        end

        USUAL = Loading::Tempo.of(:slow_start)

        def one(family, rules:, own:, here:)
          tempo = own[family.id]
          {
            family: family.id,
            title: Formats::Words.say("families.#{family.id}"),
            here: here.include?(family.id),
            by_rule: Told::Tempo.figures(Loading::Tempo.of(rules[Guidance::HouseRules.tempo(family)])),
            tempo: tempo && { **tempo, says: Told::Tempo.figures(Loading::Tempo.read(tempo)) }
          }
        end

        # Ids of the families whose exercises are done on the gym's machines.
        def here(gym)
          gym
            .machines
            .in_service
            .flat_map { |row| Machines::Families.fetch(row[:family]).exercises.values.map(&:id) }
            .uniq
        end
        private_class_method :one, :here
      end
    end
  end
end
