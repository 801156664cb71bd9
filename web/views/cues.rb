# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What can be said that helps.
      module Cues
        module_function

        # told: Application::SaidCues::Told, the best first.
        def list(told) = told.map(&:to_h)

        # All of it, by what it is about. rows: of Store::Tables::Cues.
        def table(rows)
          counted = rows.group_by { |row| row[:about] }
          {
            abouts:
              Verglas::Guidance::Cues::ABOUT.filter_map do |about|
                cues = about(about, counted.fetch(about.to_s, []))
                { about: about, title: title(about), cues: cues } if cues.any?
              end
          }
        end

        def about(about, rows)
          by_name = rows.to_h { |row| [row[:name], row] }
          own, counted = rows.partition { |row| row[:words] != "" }
          known = Verglas::Guidance::Cues::ALL.select { |cue| cue.about.include?(about) }.map { |cue| cue.name.to_s }
          known |= counted.map { |row| row[:name] } & Verglas::Guidance::Cues::ALL.map { |cue| cue.name.to_s }
          [
            *known.map { |name| one(name, Formats::Words.say("cues.#{name}"), by_name[name], own: false) },
            *own.map { |row| one(row[:name], row[:words], row, own: true) }
          ]
        end

        def one(name, words, row, own:)
          counts = row ? row.slice(:helped, :tried) : { helped: 0, tried: 0 }
          { name: name, words: words, own: own, theirs: false, **counts }
        end

        # Of a sign, or of where a set was felt.
        def title(about)
          if Verglas::Guidance::Signs::ALL.key?(about)
            Formats::Words.say("signs.#{about}")
          else
            Formats::Words.say("visits.felt_there", region: Formats::Words.say("visits.felt.#{about}").downcase)
          end
        end
        private_class_method :about, :one, :title
      end
    end
  end
end
