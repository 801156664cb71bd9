# frozen_string_literal: true

module Verglas
  module Application
    # Marks of adjusters that nobody taped, by the fittings that were accepted there: how the mark grows with the length
    # of the body that decides it. Nothing is claimed of the fit. docs/model.md section 8
    class UntapedMarks
      # By how many people, those who were there last.
      PEOPLE = 100

      # mark: the likeliest; low, high: marks between which nine in ten lie; fittings: on how many it rests.
      Told = Struct.new(:mark, :low, :high, :fittings)

      # {label => Told} of a meeting; nothing of what is taped, of what no length decides, or of fewer than three, and
      # nothing to whom any caution stands or anything bars: the others were fitted without.
      def self.of(meeting) = new(meeting).told

      def initialize(meeting)
        @meeting = meeting
      end

      def told
        return {} if untaped.empty? || kept_apart? || others.size < Fitting::UntapedScale::LEAST

        untaped.to_h { |adjuster| [adjuster["label"], mark(adjuster)] }.compact
      end

      private

      def kept_apart? = @meeting.safety.rows.any? || @meeting.bars.any?
      def row = @meeting.machine_row
      def exercise = @meeting.exercise
      def mechanism = Mechanisms.of(@meeting.machine)
      def adjusters = @adjusters ||= Described.adjusters(row, exercise)
      def family = @meeting.machine.family
      def kind(adjuster) = family.kind_of(adjuster["drives"].to_h.transform_keys(&:to_sym))

      # Those that move something, nobody knows how far, and that a length of the body decides.
      def untaped
        @untaped ||=
          adjusters.select { |adjuster| adjuster["drives"].to_h.any? && adjuster["travel"].nil? && follows(adjuster) }
      end

      # The row of the body that decides it; nil for none.
      def follows(adjuster)
        kind = kind(adjuster) or return

        beside = (adjusters - [adjuster]).filter_map { |other| kind(other)&.name }
        decides = kind.beside.find { |name, _| beside.include?(name) }&.last || kind.decides
        factors = mechanism::RULES[decides]&.follows.to_h
        Body.row(factors) if factors.any?
      end

      # [[Statistics::Normal, {label => mark}]] of everybody else who was fitted here.
      def others
        @others ||=
          begin
            rows = Store::Queries::MachineFittings.new(@meeting.gym).marks(row[:id], exercise, most: PEOPLE)
            basis = [row[:id], exercise, rows.map { |one| one.values_at(:id, :version) }, Time.now.to_i / 3600]
            all = Kept.shared.of(:untaped, Fingerprint.of(basis)) { people(rows) }
            all.except(@meeting.client[:id]).values
          end
      end

      # {client id => ...}, read once an hour.
      def people(rows)
        persons = Store::Queries::People.new(@meeting.gym).call(rows.map { |one| one[:client_id] })
        rows
          .to_h { |one| [one[:client_id], one[:marks].to_h] }
          .filter_map { |id, marks| [id, [body(persons[id]), marks]] if persons.key?(id) }
          .to_h
      end

      def body(person)
        ClientBody.estimation(person.row, person.readings, checked: CheckedFittings.of(person.checked)).met.normal
      end

      # nil where fewer than three stood at marks that it has.
      def mark(adjuster)
        length = follows(adjuster)
        marks = adjuster["marks"]
        fits =
          others.filter_map do |normal, stood|
            place = marks.index(stood[adjuster["label"]])
            place && [normal.expected(length), normal.variance(length), place + 1]
          end
        fits.size < Fitting::UntapedScale::LEAST ? nil : likeliest(length, marks, fits)
      end

      def likeliest(length, marks, fits)
        middle = Body::Prior.estimate(sex: nil).normal.expected(length)
        own = @meeting.estimation.met.normal
        scale = Fitting::UntapedScale.new(fits, marks: marks.size, middle_mm: middle)
        mean, sd = scale.mark(own.expected(length), own.variance(length))
        half = Statistics::Gaussian::INTERVAL * sd
        Told.new(*[mean, mean - half, mean + half].map { |place| at(marks, place) }, fits.size)
      end

      def at(marks, place) = marks[place.round.clamp(1, marks.size) - 1]
    end
  end
end
