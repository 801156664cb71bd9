# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # What a machine's load is called in sentences that are said of every kind of machine, and which muscles are meant
      # to work there.
      module Nouns
        module_function

        # {load_down:, load_left:, load_ready:, begin_with:}, with what is on before anybody sits: the lightest or,
        # where a rule sets the load first, the light set's.
        def of(meeting)
          load = loaded(meeting.machine_row[:loading].to_h)
          school = meeting.rules.fetch(:load_set)
          down = school == :first ? "load_first" : "load_down"
          {
            load_down: Formats::Words.say("nouns.#{down}.#{load}"),
            load_left: Formats::Words.say("nouns.load_left.#{load}"),
            load_ready: Formats::Words.say("nouns.ready.#{school}"),
            begin_with: Formats::Words.say("nouns.begin_with.#{school}")
          }
        end

        # loading: how a machine is loaded, as it was described; empty where nobody did.
        def loaded(loading)
          kind = loading["kind"] or return :unknown
          return :stack if kind == "stack"

          loading["horns"] == 1 ? :horn : :plates
        end

        # The muscles that are meant to work, as one would name them.
        def felt(family)
          meant = Guidance::Regions.of(family).select { |region| region.meaning(family) == :works }
          meant.map { |region| Finding.lower(Formats::Words.say("visits.felt.#{region.name}")) }.join(", ")
        end
        private_class_method :loaded
      end
    end
  end
end
