# frozen_string_literal: true

require "date"

module Verglas
  module Application
    # What a client's cautions, measured limits and the maker's limits do on one machine: what bars it, what narrows the
    # aims. One envelope answers for every joint that the machine moves, loads or holds, with whose each figure is.
    class Safety
      CHILD_YEARS = 16
      GATES = Guidance::Gates::ALL.keys.map(&:to_s).freeze
      private_constant :GATES

      # rows: the client's cautions, where they are read already; body: answers their Body::Estimation; plates: the
      # gym's, where they are read.
      def initialize(gym, client:, machine_row:, rows: nil, plates: nil, &known_body)
        @rows = rows
        @gym = gym
        @client = client
        @machine_row = machine_row
        @plates = plates
        @known_body = known_body
      end

      # The client's cautions, each with whether this gym is stricter than the table.
      def rows = @rows ||= @gym.cautions.of(@client[:id])

      # family: of the exercise; aims: by the house rules, names of Wishes.
      def effect(family, aims = {})
        (@effects ||= {})[[family.id, family.emphasis&.name, aims]] ||= begin
          stricter = rows.select { |row| row[:stricter] }.map { |row| row[:caution].to_sym }
          effect =
            Guidance::Cautions.effect(
              family,
              cautions,
              aims,
              measured: Guidance::Limits.envelope(measured).spans.keys,
              stricter: stricter,
              low_seat: low_seat?(family)
            )
          effect.with(without: effect.without | (family.emphasis&.without || []))
        end
      end

      # What one of them does by itself.
      def alone(row, family)
        Guidance::Cautions.effect(
          family,
          [Told::Caution.value(row)],
          measured: Guidance::Limits.envelope(measured).spans.keys,
          stricter: row[:stricter] ? [row[:caution].to_sym] : [],
          low_seat: low_seat?(family)
        )
      end

      def cautions = @cautions ||= rows.map { |row| Told::Caution.value(row) }

      # {limit => degrees} that were measured.
      def measured
        @measured ||= @client[:limits].except(*GATES).to_h { |name, entry| [name.to_sym, entry["deg"].to_f] }
      end

      # Names of the gates before a family that nobody has noted.
      def unseen(family) = gates(family, nil)

      # What was measured in the place of a family's defaults, and what is usual of somebody so old or so heavy, by the
      # names of its wishes.
      def limit_wishes(family)
        family
          .wishes
          .each_value
          .select(&:measured_as)
          .filter_map { |wish| own_limit_deg(wish)&.then { |deg| [wish.name, deg] } }
          .to_h
      end

      # What holds of a limit where nobody measured it (degrees), nil where nothing does.
      def usual_deg(limit) = limit.stricter ? limit.usual_deg(body.build, body.mass_index) : limit.default_deg

      # The same with what a caution takes off, measured or not.
      def lessened_wishes(family)
        own = { **family.wishes.transform_values(&:default), **limit_wishes(family) }
        effect(family).less.to_h { |wish, deg| [wish, own.fetch(wish) - deg] }
      end

      # What keeps an exercise from being done for something: a caution asks for another school, or limits of it have to
      # be the client's own before. Bars.
      def emphasis_bars(family)
        emphasis = family.emphasis or return []
        effect = effect(family)
        closed = emphasis.schools.any? { |question, school| effect.schools.fetch(question, school) != school }
        closed ||= emphasis.spares.intersect?(effect.cautioned)
        return [Bar.of(:emphasis_closed, emphasis: emphasis.name)] if closed

        unknown(emphasis, family).map { |limit| Bar.of(:emphasis_unknown, emphasis: emphasis.name, limit: limit) }
      end

      # How far each joint may move on a family: cautions, clinicians and what was measured together; hard: without what
      # was only measured.
      def envelope(family) = (@envelopes ||= {})[family.id] ||= hard(family) & Guidance::Limits.envelope(measured)

      def hard(family)
        (@hard ||= {})[family.id] ||= begin
          lessened =
            lessened_wishes(family).map do |wish, deg|
              Guidance::Limits.envelope({ family.wishes.fetch(wish).measured_as => deg })
            end
          [effect(family).envelope, *lessened].inject(:&).joined
        end
      end

      # The heaviest load (kg) that cautions and clinicians allow; nil where none limits it.
      def load_limit_kg(family)
        effect = effect(family)
        [effect.load_limit_kg, (unbelted_limit_kg if effect.under_belt_load && !belt?(family))].compact.min
      end

      # Whether a lap belt is there and may be worn.
      def belt?(family) = @machine_row[:belt] && effect(family).belt != :never

      # How the machine is loaded; nil where nobody described it.
      def rig
        @machine_row[:loading] &&
          (@rig ||= Loading::Rig.read(@machine_row[:loading].to_h, pairs: @plates || @gym.equipment.plates))
      end

      # What keeps this client off this machine, as Bars.
      def bars(family, today = Date.today)
        [
          *(own_bars(family) if rows.any? || measured.any?),
          *emphasis_bars(family),
          *gate_bars(family),
          never_asked,
          maker_mass,
          maker_age(today)
        ].compact
      end

      # Whether only the maker's plate can say if this client may use the machine: its least age was not written down.
      def plate_asked?(today = Date.today) = !@machine_row[:least_age_years] && younger_than?(CHILD_YEARS, today)

      private

      # right: whether it was, nil where nobody has noted it.
      def gates(family, right)
        Guidance::Gates.before(family).map(&:name).select { |name| @client[:limits].dig(name.to_s, "right") == right }
      end

      def gate_bars(family) = gates(family, false).map { |name| Bar.of(:not_right, gate: name) }
      def own_bars(family)
        Bars.new(
          self,
          family,
          Described.of_family(@machine_row, family),
          taped: Described.taped(@machine_row, family)
        ).all
      end

      def unknown(emphasis, family)
        emphasis.needs.reject { |limit| measured.key?(limit) || hard(family).to(Guidance::Limits.fetch(limit).motion) }
      end

      def body
        @body ||= @known_body ? @known_body.call : ClientBody.estimation(@client, @gym.readings.of(@client[:id]))
      end

      def own_limit_deg(wish)
        return measured.fetch(wish.measured_as) if measured.key?(wish.measured_as)

        limit = Guidance::Limits.fetch(wish.measured_as)
        usual_deg(limit) if limit.stricter
      end

      # Lower than the crease of the knee, or not taped.
      def low_seat?(family)
        whole = Machines::Families.of_exercise(family.id)
        return false unless whole.constants.key?(:seat_height) && low_seat_asked?

        seat = Described.of_family(@machine_row, family).constants[:seat_height]
        seat.nil? || seat < crease_mm
      end

      # Whether a caution of the client asks how high the seat is.
      def low_seat_asked?
        rows.any? { |row| Guidance::Cautions.fetch(row[:caution]).bars.any? { |bar| bar.tags.include?(:low_seat) } }
      end

      # The crease of the knee over the floor, the shin upright, in a shoe.
      def crease_mm
        body.met.dimensions.then { |at| at.ankle_height + Tables[:press][:sole][:mm] + at.shank - at.knee_under }
      end

      # From which load a belt is worn; the lightest where body mass is not known.
      def unbelted_limit_kg
        mass = @client[:body_mass_kg]&.to_f
        return Loading::Remarks.belt_from_kg(mass) if mass

        rig ? rig.choices.lightest.mass_kg : 0.0
      end

      # An unanswered caution bars.
      def never_asked
        (
          return unless @client[:cautions_asked_on].nil? && rows.none? { |row| row[:caution] == Asking::NOT_ASKED }
          Bar.of(:not_asked)
        )
      end

      def younger_than?(years, today) = !@client[:birth_date].nil? && @client[:birth_date] > today << (12 * years)

      def maker_mass
        limit = @machine_row[:user_mass_limit_kg]
        return unless limit && @client[:body_mass_kg] && @client[:body_mass_kg] > limit
        Bar.new(code: :maker_mass, params: { limit: limit.to_i })
      end

      def maker_age(today)
        limit = @machine_row[:least_age_years]
        Bar.new(code: :maker_age, params: { limit: limit }) if limit && younger_than?(limit, today)
      end
    end
  end
end
