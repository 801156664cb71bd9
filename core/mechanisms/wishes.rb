# frozen_string_literal: true

module Verglas
  module Mechanisms
    # What is aimed at on a family and what must be respected, by name: its wishes and choices (Machines::Wish,
    # Machines::Choice; mm and degrees, as the names end; a placed choice that nobody has made yet is nil), the range of
    # the client's joints (Body::Envelope), what of it is a caution's or a clinician's word, to which no tolerance is
    # added anywhere (hard), the bend from which the load goes slack (degrees, nil where nothing holds), and names of
    # the client's limits that were measured: of all others what is usual holds.
    Wishes =
      Value.define(:values, :envelope, :hard, :slack_from_deg, :measured) do
        # given: what differs from what the family aims at, and choices in use; a family's own names only. hard: all of
        # the envelope, where nobody says that some of it was only measured.
        def self.for(family, envelope: Body::Envelope.open, hard: envelope, slack_from_deg: nil, measured: [], **given)
          unknown = given.keys - family.wishes.keys - family.choices.keys
          raise ArgumentError, "#{family.id} has no #{unknown.join(", ")} to wish for" unless unknown.empty?

          given.each { |name, wish| refuse(wish, "/options/#{name}") if wish.nil? && wanted?(family, name) }
          values =
            family
              .wishes
              .transform_values(&:default)
              .merge(family.choices.transform_values { |choice| choice.open? ? nil : 0.0 }, given)
          new(
            values: values.freeze,
            envelope: envelope.settled,
            hard: hard.settled,
            slack_from_deg: slack_from_deg,
            measured: measured.freeze
          )
        end

        def [](name) = values.fetch(name)

        # With other choices or aims.
        def wishing(**given) = with(values: values.merge(given).freeze)

        # Whether a limit is this client's own: measured, or a caution's or a clinician's word.
        def known?(limit, motion) = measured.include?(limit) || !hard.to(motion).nil?

        # The nearest to what is aimed at that a joint may reach (degrees).
        def clamp(motion, deg) = envelope.clamp(motion, deg)

        def check
          values.compact.each { |name, wish| check_number(wish, "/options/#{name}") }
          check_number(slack_from_deg, "/options/slack_from") if slack_from_deg
        end

        # Whether something has to stand there.
        def self.wanted?(family, name) = !family.choices[name]&.open? && !family.wishes[name]&.default.nil?

        def self.refuse(wish, path) = raise(Invalid.new(:wish_not_a_number, path: path, value: wish))
        private_class_method :wanted?, :refuse

        private

        def check_number(wish, path)
          wish.is_a?(Numeric) && wish.finite? ? nil : raise(Invalid.new(:wish_not_a_number, path: path, value: wish))
        end
      end
  end
end
