# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A client's card to be carried: plain data for Formats::Paper and for text. What was fitted, what is worked out
      # and was never tried, and what is barred, with why. Of a day in the past it is what stood on it then, as it was
      # told then.
      module Card
        module_function

        # card: Questions::Card.
        def of(card)
          fitted = today(card.benches)
          others = not_fitted(card, fitted)
          # Nothing is carried that nobody may be set up from.
          fitted, kept_off = fitted.partition { |line| line[:bars].empty? }
          {
            **head_of(card),
            day: nil,
            cautions: Told::Caution.lines(card.cautions).map { |line| caution(line) },
            **others,
            fitted: fitted,
            barred: [*kept_off, *others[:barred]]
          }
        end

        # card: Questions::CardOn. What stood on it on a day of the past, as it was told then.
        def on_day(card)
          {
            **head_of(card),
            day: words(:as_of, day: dated(card.day)),
            cautions: [],
            fitted: card.lines.map { |line| recorded(line, line[:computed_from]) }.sort_by { |line| line[:name] },
            predicted: [],
            barred: []
          }
        end

        def head_of(card)
          row = card.client
          { client: row[:name], number: Client.number(row), detail: row[:detail], gym: card.gym_row[:name] }
        end

        # As it is set up again.
        def today(benches)
          lines =
            benches.map do |meeting|
              Application::OneLine.of(meeting.machine_row[:id], -> { not_computed(meeting) }) { fitted(meeting) }
            end
          lines.sort_by { |line| line[:name] }
        end

        def not_computed(meeting)
          row = meeting.machine_row
          {
            id: row[:id],
            exercise: meeting.exercise,
            name: Told::Names.machine(row[:name], meeting.exercise),
            place: row[:place],
            by: nil,
            bars: Told::Barred.of([Application::OneLine::BAR])
          }
        end

        def fitted(meeting)
          set_up = SetUp.of(meeting)
          today = set_up[:visit][:today]
          {
            id: set_up[:machine][:id],
            exercise: set_up[:exercise],
            name: set_up[:machine][:name],
            place: set_up[:machine][:place],
            bars: set_up[:bars],
            marks: [
              *set_up[:lines].map { |line| { name: line[:name], mark: line[:mark] || "–" } },
              *tags(set_up[:placed])
            ],
            load: today ? today[:load][:text] : set_up[:load_text][/.+/],
            told: told(set_up, today),
            cautions: set_up[:cautions].map { |line| caution(line) },
            by: words(:by, name: set_up[:by].to_s, day: dated(meeting.fitting[:accepted_at]))
          }
        end

        def told(set_up, today)
          titled(
            light: (today[:light][:text] if today && !today[:alone]),
            first: [*set_up[:left_behind][/.+/], *set_up[:aids]].join(" ")[/.+/],
            in: set_up[:getting_in][/.+/],
            how: set_up[:allowed].join(" ")[/.+/],
            sets:
              words(
                :sets_of,
                sets: set_up[:visit][:sets],
                repetitions: set_up[:visit][:repetitions],
                tempo: set_up[:tempo][:says]
              ),
            belt: set_up[:belt]&.fetch(:says),
            cue: set_up[:cue][/.+/],
            out: set_up[:getting_out][/.+/]
          )
        end

        # Machines in use on which nobody fitted this client: what the bench would advise.
        def not_fitted(card, fitted)
          names = card.machines
          lines =
            Predictions.of(card.floor_card)[:predictions].reject do |one|
              fitted.any? { |line| line.values_at(:id, :exercise) == one.values_at(:machine_id, :exercise) }
            end
          open, kept_off =
            lines.select { |one| names[one[:machine_id]][:state] == "in_use" }.partition { |one| one[:bars].empty? }
          {
            predicted: open.filter_map { |one| predicted(names[one[:machine_id]], one) if one[:status] },
            barred: kept_off.map { |one| { **head(names[one[:machine_id]], one), by: nil, bars: one[:bars] } }
          }
        end

        def head(machine, one) = { name: Told::Names.machine(machine[:name], one[:exercise]), place: machine[:place] }

        def predicted(machine, one)
          instead = one[:instead].any? ? words(:instead, names: one[:instead].join(", ")) : nil
          from = "#{one[:from].sub(/\A./, &:upcase)}. #{Formats::Words.say("status.#{one[:status]}")}."
          fits = one[:status] != :impossible # what does not fit is nothing to set up from
          {
            **head(machine, one),
            marks: fits ? tags(one[:marks]) : [],
            load: nil,
            by: nil,
            told: titled(never_tried: from, first: one[:aids].join(" ")[/.+/], instead: instead)
          }
        end

        # kept: what the record was computed from.
        def recorded(line, kept)
          {
            name: Told::Names.machine(line[:machine_name], line[:exercise]),
            place: line[:machine_place],
            bars: [],
            marks: tags(Told::Names.tags(line[:marks].to_h, Application::Aids.of(line[:aids].to_h))),
            load: line[:load][/.+/],
            told:
              titled(
                how: kept.fetch("allowed", []).join(" ")[/.+/],
                first: Application::Aids.says(Application::Aids.of(line[:aids].to_h)).join(" ")[/.+/]
              ),
            cautions: kept.fetch("cautions", []).map { |one| caution(one.transform_keys(&:to_sym)) },
            by: words(:by, name: line[:by_name].to_s, day: dated(line[:accepted_at]))
          }
        end

        # What is said, under its title; what is not is left out.
        def titled(**said) = said.compact.transform_keys { |name| words("told.#{name}") }
        def tags(tags) = tags.map { |tag| tag.slice(:name, :mark) }

        # To be pasted into a message.
        def text(card)
          barred = card[:barred].map { |line| [line[:name], *line[:bars]].join("\n") }
          fitted =
            card[:fitted].map do |line|
              [line[:name], *line[:bars], settings(line), *line[:told].map { |name, said| "#{name}: #{said}" }].join(
                "\n"
              )
            end
          [
            [card[:client], card[:day]].compact.join(", "),
            *card[:cautions],
            *fitted,
            *barred,
            Formats::Words.say("paper.pain")
          ].join("\n\n")
        end

        def settings(line) = [*line[:marks].map { |tag| "#{tag[:name]} #{tag[:mark]}" }, *line[:load]].join(" · ")
        def caution(line)
          words(:caution, title: Told::Caution.title(line), does: [line[:does], *Told::Caution.allows(line)].join(" "))
        end
        def dated(time)
          words(:day, day: time.day, month: Formats::Words.say("paper.months").fetch(time.month - 1), year: time.year)
        end
        def words(key, **params) = Formats::Words.say("paper.#{key}", **params)
        private_class_method :head_of,
                             :today,
                             :fitted,
                             :told,
                             :titled,
                             :tags,
                             :not_fitted,
                             :head,
                             :predicted,
                             :recorded,
                             :settings,
                             :caution,
                             :words
      end
    end
  end
end
