# frozen_string_literal: true

module Verglas
  module Guidance
    # What a client shows before a kind of machine is used: a hinge with a stick, before a hinge bench. It is kept with
    # the client, right or not; what nobody has seen is not right. core/data/limits.yml
    module Gates
      # tag: of the families that it stands before; limit: found by the same movement.
      Gate =
        Value.define(:name, :tag, :limit) do
          # cautions: names. Those under which it is not shown.
          def skipped_for(cautions) = limit.skipped_for(cautions)
        end

      ALL =
        Tables[:limits][:gates]
          .to_h do |row|
            name, tag, limit = row.values_at(:name, :tag, :as)
            [name, Gate.new(name: name, tag: tag, limit: Limits.fetch(limit))]
          end
          .freeze

      module_function

      def fetch(name) = ALL.fetch(name.to_s.to_sym) { raise Invalid.new(:unknown_gate, path: "/gate", gate: name.to_s) }

      # Those before a family.
      def before(family) = ALL.each_value.select { |gate| family.tags.fetch(gate.tag) }
    end
  end
end
