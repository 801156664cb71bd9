# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What was found under some letters.
      module Search
        module_function

        def of(search, text)
          {
            clients: search.clients(text).map { |row| Client.summary(row) },
            machines: search.machines(text).map { |found| machine(found) }
          }
        end

        def machine(found)
          {
            id: found.row[:id],
            name: found.row[:name],
            place: found.row[:place],
            state: found.row[:state],
            why: found.why && why(found.why),
            marks: !found.why&.fetch(:mark, nil).nil?
          }
        end

        def why(why)
          return Formats::Words.say("found_by.#{why[:note]}", says: why[:says]) if why.key?(:note)
          return Formats::Words.say("found_by.adjuster", adjuster: why[:adjuster]) unless why[:mark]

          Formats::Words.say("found_by.mark", adjuster: why[:adjuster], mark: why[:mark], cards: why[:cards])
        end
        private_class_method :machine, :why
      end
    end
  end
end
