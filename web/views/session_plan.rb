# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A client's session as a line of time: blocks with their marks, loads and seconds, why each stands where it does,
      # and what stands beside the line.
      module SessionPlan
        module_function

        # asked: Questions::ClientSession.
        def of(asked)
          planned = asked.planned
          {
            client: Client.summary(asked.client),
            **planned.wishes.to_h.slice(:minutes, :aim, :programme_id, :day),
            wishes: planned.wishes.lists,
            aims: asked.aims,
            programmes: asked.programmes.map { |row| Programmes.summary(row, last: asked.last_days[row[:id]]) },
            seconds: planned.seconds,
            seldom_s: planned.seldom_s,
            missing_s: planned.missing_s,
            says: says(planned, asked.barred),
            blocks: planned.blocks.map { |one| block(one, asked.standing) },
            beside: planned.beside.map { |one| beside(one) },
            kept_off: asked.kept_off.map { |one| kept_off(one, planned) },
            first_visit: planned.first_visit?,
            reading: asked.reading && Formats::Words.say("observations.#{asked.reading}.title"),
            turns: planned.turns.map { |one| turn(one) }
          }
        end

        # barred: what keeps them off everything, in sentences.
        def says(planned, barred)
          return barred.join(" ") if barred.any?
          return words(:missing, minutes: minutes(planned.missing_s)) if planned.missing_s
          return words(:nothing) if planned.blocks.empty?

          words(:about, minutes: whole(planned.seconds), seldom: whole(planned.seldom_s))
        end

        def block(block, standing)
          {
            keys: block.keys,
            members: block.members.map { |one| member(one, standing[one.key]) },
            sets: block.sets,
            kept: block.kept,
            hop_s: block.hop_s,
            starts_s: block.starts_s,
            seconds: block.seconds,
            parts: block.parts.map { |kind, taken| { kind: kind, seconds: taken } },
            why: block.why.map { |code, params| why(code, params) }
          }
        end

        def why(code, params)
          named =
            params.key?(:muscle) ? { muscle: Formats::Words.say("visits.felt.#{params[:muscle]}").downcase } : params
          words("why.#{code}", **named)
        end

        # stands: marks at which its machine stands now, nil where nobody knows.
        def member(one, stands)
          {
            key: one.key,
            machine: {
              id: one.machine_id,
              name: one.name,
              place: one.place
            },
            fitting_id: one.fitting_id,
            marks: one.tags,
            load: one.load,
            load_kg: one.load_kg,
            light: one.light,
            ladder: one.ladder,
            repetitions: one.repetitions,
            set_s: one.seconds[:set_s],
            rest_s: one.seconds[:told_rest_s],
            aids: one.aids,
            allowed: one.allowed,
            how: one.how,
            moves: stands && moves(one, stands)
          }
        end

        def moves(one, stands)
          one.marks.filter_map do |label, mark|
            from = stands[label]
            { name: Formats::Words.adjuster(label), from: from, to: mark } if from && mark && from != mark
          end
        end

        def beside(one)
          { key: one.key, name: named(one), why: one.why, seconds: one.seconds, says: beside_says(one) }
        end

        # A programme's exercise that no machine serves is called by its action.
        def named(one) = one.key ? one.name : Formats::Words.say("actions.#{one.name}")

        def beside_says(one)
          words("beside.#{one.why}", minutes: one.seconds && minutes(one.seconds), machine: one.other)
        end

        def kept_off(one, planned)
          instead = planned.blocks.flat_map(&:members).find { |member| member.stands_for == one.name }
          { key: one.key, name: one.name, why: one.why, instead: instead&.name }
        end

        def turn(one)
          {
            keys: one.keys,
            says:
              words(
                :turn,
                one: one.names.first,
                other: one.names.last,
                sets: words(one.sets == 1 ? :one_set : :sets, sets: one.sets),
                in_turn: minutes(one.in_turn_s),
                now: minutes(one.now_s)
              )
          }
        end

        # To the half minute, as it is said: "4½".
        def minutes(seconds)
          halves = (seconds / 30.0).ceil
          half = halves.odd? ? "½" : ""
          halves < 2 ? half : "#{halves / 2}#{half}"
        end

        def whole(seconds) = (seconds / 60.0).round
        def words(key, **params) = Formats::Words.say("sessions.#{key}", **params)
        private_class_method :says, :block, :member, :moves, :beside, :named, :beside_says, :kept_off, :turn, :whole
      end
    end
  end
end
