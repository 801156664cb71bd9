# frozen_string_literal: true

require "i18n"

module Verglas
  module Formats
    # The sentences of config/messages: codes and numbers in, words out.
    module Words
      I18n.load_path = Dir[File.join(ROOT, "config", "messages", "*.yml")]
      I18n.available_locales = [:en]
      I18n.default_locale = :en
      I18n.enforce_available_locales = true

      # {key => its sentence as Ruby's own format takes it}: made once, because a bench says a hundred of them at every
      # change of a mark, and a fifth of the time that I18n takes to fill one in.
      WRITTEN = {} # rubocop:disable Style/MutableConstant -- grows with what is said

      # Raises on an unknown key or a missing number: a gap in the words is a fault of ours.
      def self.say(key, **params)
        written = WRITTEN[key] ||= template(I18n.t!(key))
        # Else one of several, by a number; or a branch.
        written.is_a?(String) ? format(written, params) : I18n.t!(key, **params)
      end

      # What is no place for a number stands as it is.
      def self.template(written) = written.is_a?(String) ? written.gsub(/%(?!\{)/, "%%") : written
      private_class_method :template

      def self.known?(key) = I18n.exists?(key)

      # nil where there are no words for the key.
      def self.maybe(key, **params) = known?(key) ? say(key, **params) : nil

      # An error's message; numbers that the words do not use are left out.
      def self.error(code, params)
        maybe("errors.#{code}", **params) || say("errors.wrong_form")
      rescue KeyError, I18n::MissingInterpolationArgument
        say("errors.wrong_form")
      end

      # A Telling::Says as words, its parts first.
      def self.of(says)
        say(says.code, **says.params.transform_values { |part| part.is_a?(Telling::Says) ? of(part) : number(part) })
      end

      # With a minus that is one.
      def self.number(part) = part.is_a?(Numeric) && part.negative? ? "−#{part.abs}" : part
      private_class_method :number

      # What a person calls an adjuster: its label with a capital.
      def self.adjuster(label) = label.sub(/\A\p{Lower}/, &:upcase)
    end
  end
end
