# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A client's limits: what was measured, or what holds until somebody has; how to measure each, and when not to.
      module Limits
        module_function

        # limits: Questions::ClientLimits.
        def page(limits)
          client = limits.client
          uncleared = limits.uncleared
          {
            client: Client.summary(client),
            gates: gates(client, Verglas::Guidance::Gates::ALL.each_value, uncleared),
            limits:
              Verglas::Guidance::Limits::ALL.each_value.map do |limit|
                one(limit, client[:limits][limit.name.to_s], uncleared)
              end
          }
        end

        # Whether each of these was seen, and by whom; right: nil where nobody has noted it.
        def gates(client, gates, uncleared)
          gates.map do |gate|
            words = %i[title how kept not_yet].to_h { |part| [part, Formats::Words.say("gates.#{gate.name}.#{part}")] }
            noted = client[:limits][gate.name.to_s].to_h
            {
              name: gate.name,
              **words,
              right: noted["right"],
              by: noted["by"],
              at: noted["at"],
              skipped: skipped(gate, uncleared)
            }
          end
        end

        # Titles of the cautions under which it is not asked for; of a limit or a gate.
        def skipped(asked, uncleared)
          asked.skipped_for(uncleared).map { |name| Formats::Words.say("cautions.#{name}.title") }
        end

        def one(limit, entry, uncleared)
          {
            name: limit.name,
            title: words(limit, :title),
            how: words(limit, :how),
            read_on: limit.read_on,
            unit: limit.per_cm ? "cm" : "deg",
            default_deg: limit.default_deg,
            decides: words(limit, :decides),
            measured:
              entry &&
                { deg: entry["deg"], reading: entry["reading"], by: entry["by"], at: entry["at"], on: entry["on"] },
            skipped: skipped(limit, uncleared)
          }
        end

        def words(limit, part) = Formats::Words.say("limits.#{limit.name}.#{part}")
        private_class_method :one, :skipped, :words
      end
    end
  end
end
