# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # What a machine's load is called in sentences that are said of every kind of machine, and which muscles are meant to work there.
      module Nouns
        module_function

        # {load_down:, load_left:}
        def of(meeting)
          load = loaded(meeting.machine_row[:loading].to_h)
          %i[load_down load_left].to_h { |name| [name, Formats::Words.say("nouns.#{name}.#{load}")] }
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
