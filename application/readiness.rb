# frozen_string_literal: true

module Verglas
  module Application
    # What a client has shown on machines of one joint action, from the fittings that were accepted there and the visits
    # since, and the rung on which to begin on this one. What a caution forbids is no rung.
    module Readiness
      # On which body weight is the load.
      FAMILIES =
        Machines::Families
          .all
          .select { |family| family.exercises.each_value.any? { |one| one.wishes.key?(:mass_kg) } }
          .map(&:id)
          .freeze

      module_function

      # Guidance::Readiness; nil where the machine has no rungs.
      def of(meeting)
        return if meeting.machine.family.findings.empty?

        rungs =
          meeting
            .mechanics
            .rungs(meeting.bands.keys)
            .reject { |rung| meeting.caution_effect.without.any? { |name| rung.wishes.fetch(name, 0.0).positive? } }
        return unless rungs.any?
        Guidance::Readiness.new(rungs, visits(meeting), none_harder: meeting.caution_effect.wishes.key?(:angle_deg))
      end

      # What is aimed at for it, by the names of Wishes.
      def wishes(meeting) = of(meeting)&.today&.wishes.to_h

      # Latest first. How one went that nobody wrote down says nothing, unless a sign was seen.
      def visits(meeting)
        action = meeting.machine.family.action
        rows =
          meeting.shown_efforts.select do |row|
            Machines::Families.fetch(row[:family]).all_exercises[row[:exercise][/.+/]]&.action == action
          end
        rows.flat_map { |row| of_fitting(row) }.sort_by(&:first).reverse.map(&:last)
      end

      # [[when, Visit]] of one fitting: what it asked was asked at every visit since.
      def of_fitting(row)
        top_nm = row[:result].dig("quantities", "top_nm") or return []
        last = row[:work]["last"]
        fitted = [[row[:accepted_at], %w[easy clean].include?(last) && row[:signs].empty?]] if last || row[:signs].any?
        [*fitted, *row[:visits].map { |visit| visit.values_at(:begun_at, :clean) }].map do |at, clean|
          [at, Guidance::Readiness::Visit.new(top_nm: top_nm, clean: clean)]
        end
      end
      private_class_method :visits, :of_fitting
    end
  end
end
