# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A fitting that goes on from what was accepted: what stands from then, what is advised today, and why they
      # differ, in one line.
      module Since
        # What is aimed at by what somebody was ready for.
        SHOWN = %w[angle_deg band_help_n].freeze

        module_function

        # nil where nothing was accepted here yet, or the advice is what was accepted.
        def of(meeting)
          last = meeting.rows.last_accepted
          return unless last && meeting.advice.status

          differing = [*marks(meeting, last), *aids(meeting, last)]
          return if differing.empty?

          words(
            :differs,
            then: differing.map(&:first).join(", "),
            now: differing.map(&:last).join(", "),
            why: why(meeting, last)
          )
        end

        # [as it stands from then, as advised today], adjusters that differ only.
        def marks(meeting, last)
          advised = Advice.advised_marks(meeting.advice)
          last[:marks]
            .to_h
            .select { |label, mark| advised.key?(label) && advised[label] != mark }
            .map { |label, mark| ["#{label} #{mark}", "#{label} #{advised[label]}"] }
        end

        # A cushion that is to be taken out, or put in, is said as such.
        def aids(meeting, last)
          before = Application::Aids.of(last[:aids].to_h)
          differing = meeting.advised_aids.reject { |name, size| before[name].nil? || size == before[name] }
          differing.map { |name, size| [before[name], size].map { |given| aid(name, given) } }
        end

        def aid(name, given)
          return Formats::Words.say("aids.#{name}.named", size: given.round) if Application::Aids::PLACED.include?(name)

          given.zero? ? words(:"no_#{name}") : words(name, size: given.round)
        end

        def why(meeting, last)
          from = last[:computed_from]
          # nothing was computed here, so nothing can be told of why
          return words(:"why.chosen") unless from.key?("rules")

          changed = basis(meeting).reject { |reason, now| past(from).fetch(reason) == now }.keys
          (changed.empty? ? [:chosen] : changed).map { |reason| words(:"why.#{reason}") }.join(", ")
        end

        # What the advice rests on now, as a record keeps it.
        def basis(meeting)
          past(JSON.parse(JSON.generate(Application::Record.computed_from(meeting, meeting.advice.evaluation))))
        end

        def past(from)
          {
            described: from.dig("machine", "description_number"),
            read: from["readings"],
            learned: from["learned"].to_a.map { |line| line["machine"] },
            spared: from.values_at("cautions", "limits"),
            ruled: from["rules"],
            shown: from["wishes"].to_h.slice(*SHOWN)
          }
        end

        def words(key, **params) = Formats::Words.say("since.#{key}", **params)
        private_class_method :marks, :aids, :aid, :why, :basis, :past, :words
      end
    end
  end
end
