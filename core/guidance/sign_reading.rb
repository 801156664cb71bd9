# frozen_string_literal: true

module Verglas
  module Guidance
    # Signs as readings: what was seen while a client worked at some marks, and what was looked for and not seen, moves
    # what is known of body, limits and machine together (Fitting::Knowledge); the next move is the best neighbour for
    # what is known then. docs/model.md section 18.
    class SignReading
      FIGURES = Tables[:signs][:reading]
      WEIGHTS = Tables[:signs][:weights]
      # A move is not worth making for less than so much of one finding's severity.
      LEAST_GAIN = 0.05
      # So many marks either way, of one adjuster at a time.
      REACH = 2

      # One thing that was looked for at some marks. seen: whether it was; indices: of the marks.
      Look = Struct.new(:sign, :seen, :indices)
      # adjuster, by: how many marks it goes, in the order in which they are printed; indices: after it.
      Move = Struct.new(:adjuster, :by, :indices)
      # A cause of a sign, and how likely it is among all its causes.
      Likely = Struct.new(:cause, :probability)

      # estimate: Body::Estimate; wishes: Mechanisms::Wishes; dressed: whether clothes hide a mark on the skin.
      def initialize(machine:, estimate:, wishes:, dressed: false)
        @machine = machine
        @dressed = dressed
        @doubted = []
        @looks = []
        @knowledge =
          Fitting::Knowledge.of(machine: machine, estimate: estimate, wishes: freed(wishes), limits: limits(wishes))
      end

      attr_reader :knowledge

      # Those that a machine has a number for.
      def self.shown_on(machine) = Signs.of(machine).select { |name| Signs::ALL.fetch(name).shows }

      # Symbols of signs, seen and looked for in vain at some marks (indices); each counts once at the same marks, and
      # one on which no number speaks moves nothing. Raises Invalid for a sign that the machine does not have, or that
      # was seen and not seen.
      def look(indices, seen:, not_seen: [])
        [*seen, *not_seen].each { |name| check(name) }
        both = seen & not_seen
        raise Invalid.new(:seen_and_not, path: "/not_seen", sign: both.first.to_s) if both.any?

        [[seen, true], [not_seen, false]].each do |names, was_seen|
          names.uniq.each { |name| take(Look.new(name, was_seen, indices)) }
        end
      end

      # Signs that were seen at these marks and that what is known does not explain: thought all but impossible before,
      # or still so afterwards.
      def unexplained(indices)
        at_marks = @looks.select { |one| one.seen && one.indices == indices }
        (@doubted & at_marks.map(&:sign)) |
          at_marks.map(&:sign).select { |name| shows(name) && likely(name, indices) < FIGURES[:thresholds][:after] }
      end

      # The best of the neighbours (REACH marks of one adjuster), nil where staying is as good. What was looked for and
      # not seen is a reading too: a move may come of it alone.
      def move(indices)
        outlook = outlook(indices)
        best = moves(indices).min_by { |one| [outlook.severity(one.indices).round(6), one.by.abs] }
        best if best && outlook.severity(indices) - outlook.severity(best.indices) > LEAST_GAIN
      end

      # P(all of the joint's findings are in line) at some marks, as it is known now.
      def in_line(indices, standing: indices) = outlook(standing).in_line(indices)

      # [Likely] of a sign that was seen at some marks, the likeliest first: those on which a number speaks by how
      # likely that is, as it is known now, the others by their weights.
      def causes(name, indices)
        diagnosis = Diagnosis.new(@knowledge.evaluation(indices))
        shares = Signs.causes(@machine, name).map { |cause| Likely.new(cause, weight(cause, diagnosis)) }
        whole = shares.sum(&:probability)
        shares.each { |one| one.probability /= whole }.sort_by.with_index { |one, index| [-one.probability, index] }
      end

      private

      def outlook(indices) = (@outlooks ||= {})[indices] ||= Fitting::Outlook.new(@knowledge, indices)
      def shows(name) = Signs::ALL.fetch(name).shows&.then { |one| @dressed ? one.over_clothes : one }

      def check(name)
        raise Invalid.new(:unknown_sign, path: "/seen", sign: name.to_s) unless Signs.of(@machine).include?(name)
      end

      def take(look)
        return if @looks.include?(look)

        @looks << look
        number, row = number(look.sign, look.indices)
        return unless number

        reading = shows(look.sign)
        given = { here: number, at: reading.at, sd: reading.spread, side: look.seen ? reading.side : -reading.side }
        if look.seen && @knowledge.probability(row, **given) < FIGURES[:thresholds][:before]
          return @doubted |= [look.sign]
        end

        @outlooks = nil
        @knowledge = @knowledge.bounded(row, **given)
      end

      # [number, slopes] of what a sign shows at some marks; nothing where it shows none, or it is not told.
      def number(name, indices)
        reading = shows(name) or return
        here = @knowledge.evaluation(indices)
        return unless here.mechanics.told?

        agreed = here.mechanics.agreed(here.place)
        return unless here.mechanics.shown(reading.number, here.place, agreed)

        (number,), rows =
          @knowledge.slopes(indices) { |mechanics, place| [mechanics.shown(reading.number, place, agreed)] }
        [number, rows.first]
      end

      # P(seen) at the mean
      def likely(name, indices)
        number, = number(name, indices)
        reading = shows(name)
        return 1.0 unless number

        Statistics::Gaussian.cumulative(reading.side * (number - reading.at), mean: 0.0, sd: reading.spread)
      end

      # What one adjuster could do.
      def moves(indices)
        @machine.adjusters.each_with_index.flat_map do |adjuster, place|
          next [] if adjuster.follows? || @machine.group_of(place) == :recorded

          [*-REACH..-1, *1..REACH].select { |by| (indices[place] + by).between?(0, adjuster.size - 1) }
            .map { |by| Move.new(adjuster.label, by, @machine.set(indices, place, indices[place] + by)) }
        end
      end

      # Of a cause on which a number speaks, how likely it lies where the cause says.
      def weight(cause, diagnosis) = diagnosis.likelihood(cause)&.clamp(WEIGHTS[:slip], 1.0) || WEIGHTS[:untold]

      # Limits that nobody's word fixes: {wish => SD}.
      def limits(wishes)
        FIGURES[:limits]
          .reject { |row| fixed?(wishes, row) }
          .to_h { |row| [row[:name], wishes.measured.include?(row[:limit]) ? row[:measured_sd] : row[:usual_sd]] }
      end

      def motion(row) = Limits.fetch(row[:limit]).motion
      def fixed?(wishes, row) = !wishes.hard.to(motion(row)).nil?

      # Without the ends that were measured: they are what may be off.
      def freed(wishes)
        motions = FIGURES[:limits].reject { |row| fixed?(wishes, row) }.map { |row| motion(row) }
        spans = wishes.envelope.spans.to_h { |name, (from, upto)| [name, [from, motions.include?(name) ? nil : upto]] }
        wishes.with(envelope: Body::Envelope.new(spans))
      end
    end
  end
end
