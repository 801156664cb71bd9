# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # With which load somebody begins who was never loaded on a machine, and what it rests on, in a sentence.
      module FirstLoad
        module_function

        # first: FirstLoads::Told, nil where nothing is known.
        def says(rig, first)
          return words(:nothing_known) unless first

          words(
            :first_load,
            low: number(rig, first.low),
            high: number(rig, first.high),
            unit: rig.unit,
            rests: rests(first)
          )
        end

        def rests(first)
          kind = { 0 => :none, 1 => :one }.fetch(first.sets, :other)
          words(:"rests.#{kind}", sets: first.sets)
        end

        def number(rig, choice) = Load.number(rig.printed(choice.mass_kg))
        def words(key, **params) = Formats::Words.say("loads.#{key}", **params)
        private_class_method :rests, :number, :words
      end
    end
  end
end
