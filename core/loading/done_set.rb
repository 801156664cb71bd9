# frozen_string_literal: true

module Verglas
  module Loading
    # A set as it was done, or as far as somebody said. docs/model.md section 14.
    #   load_kg      nil where the body is the load
    #   last         how the last repetition went: :easy, :clean (hard and clean) or :not_reached; nil where nobody said
    #   reached      the share of the agreed range, 1 the whole of it; nil where nobody said
    #   joint, sign  whether it was felt in a joint; whether a sign of a bad fit was seen
    #   one_leg      whether one leg lifted it
    DoneSet =
      Value.define(:load_kg, :last, :reached, :joint, :sign, :one_leg) do
        def short? = !reached.nil? && reached < Tables[:loads][:log][:whole_range][:from_share]

        # Nothing against it, and somebody said how it went.
        def clean? = %i[easy clean].include?(last) && !short? && !joint && !sign

        # What counts of it, the worst (Visit::OUTCOMES).
        def outcome
          return :joint if joint
          return :sign if sign

          short? ? :short : last || :unsaid
        end

        # Something that sends one back: what was seen or felt, or range that was missing.
        def sends_back? = joint || sign || short?
      end
  end
end
