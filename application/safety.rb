# frozen_string_literal: true

require "date"

module Verglas
  module Application
    # What a client's cautions, measured limits and the maker's limits do on one machine: what bars it, what narrows the aims.
    class Safety
      CHILD_YEARS = 16

      # rows: the client's cautions, where they are read already.
      def initialize(gym, client:, machine_row:, rows: nil)
        @rows = rows
        @gym = gym
        @client = client
        @machine_row = machine_row
      end

      # The client's cautions, each with whether this gym is stricter than the table.
      def rows = @rows ||= @gym.cautions.of(@client[:id])

      # family: of the exercise; aims: by the house rules, names of Wishes.
      def effect(family, aims = {})
        (@effects ||= {})[[family.id, aims]] ||= begin
          stricter = rows.select { |row| row[:stricter] }.map { |row| row[:caution].to_sym }
          Guidance::Cautions.effect(family, cautions, aims, measured: Guidance::Limits.envelope(measured).spans.keys, stricter: stricter)
        end
      end

      def cautions = @cautions ||= rows.map { |row| Told::Caution.value(row) }

      # {limit => degrees} that were measured.
      def measured = @client[:limits].to_h { |name, entry| [name.to_sym, entry["deg"].to_f] }

      # What was measured in the place of a family's defaults, by the names of its wishes.
      def measured_wishes(family)
        family.wishes.each_value.select { |wish| measured.key?(wish.measured_as) }.to_h { |wish| [wish.name, measured.fetch(wish.measured_as)] }
      end

      # The same with what a caution takes off, measured or not.
      def lessened_wishes(family)
        own = { **family.wishes.transform_values(&:default), **measured_wishes(family) }
        effect(family).less.to_h { |wish, deg| [wish, own.fetch(wish) - deg] }
      end

      # How far each joint may move on a family: cautions, clinicians and what was measured together; hard: without what was only
      # measured.
      def envelope(family) = hard(family) & Guidance::Limits.envelope(measured)
      def hard(family) = [effect(family).envelope, *lessened_wishes(family).map { |wish, deg| limit_envelope(family.wishes.fetch(wish), deg) }].inject(:&)

      # What a record keeps of it.
      def kept = { limits: measured, cautions: rows.map { |row| Told::Caution.line(row) } }

      # What keeps this client off this machine: cautions, and the maker's limits. {code => numbers for words}
      def bars(family, today = Date.today)
        effect(family).bars.to_h { |name| [name, {}] }.merge(posture(family), nothing_left(family), maker_mass, maker_age(today))
      end

      # Whether only the maker's plate can say if this client may use the machine: its least age was not written down.
      def plate_asked?(today = Date.today) = !@machine_row[:least_age_years] && younger_than?(CHILD_YEARS, today)

      private

      def limit_envelope(wish, deg) = Guidance::Limits.envelope({ wish.measured_as => deg })

      # Where a caution, a clinician and what was measured leave no range between them, nobody can be told how far to go.
      def nothing_left(family) = envelope(family).contradictions.to_h { |motion| [:nothing_left, { motion: Formats::Words.say("motions.#{motion}").downcase }] }

      # A joint which the machine holds past what a caution or a clinician allows. What was measured lying is no such word.
      def posture(family)
        envelope = effect(family).envelope
        held = family.joints.each_value.select(&:held_deg)
        past = held.reject { |joint| envelope.cover?(joint.motion, joint.held_deg) }
        past.to_h { |joint| [:"posture_#{joint.motion}", { deg: joint.held_deg.round, limit: envelope.to(joint.motion)&.round }] }
      end

      def younger_than?(years, today) = !@client[:birth_date].nil? && @client[:birth_date] > today << (12 * years)

      def maker_mass
        limit = @machine_row[:user_mass_limit_kg]
        limit && @client[:body_mass_kg] && @client[:body_mass_kg] > limit ? { maker_mass: { limit: limit.to_i } } : {}
      end

      def maker_age(today)
        limit = @machine_row[:least_age_years]
        limit && younger_than?(limit, today) ? { maker_age: { limit: limit } } : {}
      end
    end
  end
end
