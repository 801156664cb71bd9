# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A client's limits: what was measured, or what holds until somebody has; how to measure each, and when not to.
      module Limits
        module_function

        def page(gym, client)
          uncleared = gym.cautions.of(client[:id]).reject { |row| row[:cleared_on] }.map { |row| row[:caution].to_sym }
          { client: Client.summary(client), limits: Verglas::Guidance::Limits::ALL.each_value.map { |limit| one(limit, client[:limits][limit.name.to_s], uncleared) } }
        end

        def one(limit, entry, uncleared)
          { name: limit.name, title: words(limit, :title), how: words(limit, :how), unit: limit.per_cm ? "cm" : "deg", default_deg: limit.default_deg, decides: words(limit, :decides),
            measured: entry && { deg: entry["deg"], reading: entry["reading"], by: entry["by"], at: entry["at"], on: entry["on"] },
            skipped: limit.skipped_for(uncleared).map { |name| Formats::Words.say("cautions.#{name}.title") } }
        end

        def words(limit, part) = Formats::Words.say("limits.#{limit.name}.#{part}")
        private_class_method :one, :words
      end
    end
  end
end
