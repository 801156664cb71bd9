# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # What is said that helps: the program's cues with how often each helped here, and the gym's own.
      module Cues
        def self.registered(app)
          app.get("/api/cues") { reply(table) }

          app.post("/api/cues") do
            write_once(status: 201) do
              about = input[:about].to_sym
              raise Invalid.new(:not_allowed, path: "/about") unless Guidance::Cues::ABOUT.include?(about)

              words = input[:words].strip
              raise Invalid.new(:cue_unsaid, path: "/words") if words.empty?

              gym.cues.add(words, about: about)
              table
            end
          end

          app.post("/api/cues/removal") do
            write_once do
              found(gym.cues.retire(input[:cue]).nonzero?)
              table
            end
          end
          app.helpers Helpers
        end

        # What these routes share.
        module Helpers
          def table = Views::Cues.table(gym.cues.all)
        end
      end
    end
  end
end
