# frozen_string_literal: true

require "date"

module Verglas
  module Web
    # What a client's cautions, measured limits and the maker's limits do on one machine: what bars it, what narrows the aims.
    class Safety
      CHILD_YEARS = 16

      def initialize(gym, client:, machine_row:)
        @gym = gym
        @client = client
        @machine_row = machine_row
      end

      # The client's cautions, each with whether this gym is stricter than the table.
      def rows = @rows ||= @gym.cautions.of(@client[:id])

      # family: of the exercise; aimed_at: by the house rules, names of Wishes.
      def effect(family, aimed_at)
        Fitting::Cautions.effect(family, rows.map { |row| Inputs::Caution.value(row) }, aimed_at, stricter: rows.select { |row| row[:stricter] }.map { |row| row[:caution].to_sym })
      end

      # {limit => degrees} that were measured.
      def measured = (@client[:limits] || {}).to_h.to_h { |name, entry| [name.to_sym, entry["deg"].to_f] }

      # What differs from the aims, by names of Wishes.
      def narrowing(family, aimed_at)
        by_caution = effect(family, aimed_at).wishes
        { **by_caution, **Fitting::Limits.narrowing(measured, { **aimed_at, **by_caution }) }
      end

      # What a record keeps of it.
      def kept = { limits: measured, cautions: rows.map { |row| Views::Cautions.line(row) } }

      # What keeps this client off this machine: cautions, and the maker's limits. {code => numbers for words}
      def bars(family, today = Date.today)
        effect(family, {}).bars.to_h { |name| [name, {}] }.merge(maker_mass, maker_age(today))
      end

      # Whether only the maker's plate can say if this client may use the machine: its least age was not written down.
      def plate_asked?(today = Date.today) = !@machine_row[:least_age_years] && younger_than?(CHILD_YEARS, today)

      private

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
