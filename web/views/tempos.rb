# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # At which tempo each family is moved: by the gym's own seconds, else by the school it chose.
      module Tempos
        module_function

        # tempos: Questions::Tempos. here: whether the gym has such a machine; by_rule: in figures; tempo: null where
        # the school holds.
        def of(tempos)
          {
            tempos: Families.single.map { |family| one(family, tempos) },
            version: tempos.version,
            usual_slow_deg: USUAL[:slow_deg]
          }
        end

        USUAL = Loading::Tempo.of(:slow_start)

        def one(family, tempos)
          tempo = tempos.own[family.id]
          {
            family: family.id,
            title: Formats::Words.say("families.#{family.id}"),
            here: tempos.here.include?(family.id),
            by_rule: Told::Tempo.figures(Loading::Tempo.of(tempos.rules[Guidance::HouseRules.tempo(family)])),
            tempo: tempo && { **tempo, says: Told::Tempo.figures(Loading::Tempo.read(tempo)) }
          }
        end

        private_class_method :one
      end
    end
  end
end
