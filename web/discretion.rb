# frozen_string_literal: true

module Verglas
  module Web
    # What somebody sees who may know what a client's cautions do, and not what they are: no answer to them names one.
    # Applied to whole answers on their way out, so that no view can forget it.
    module Discretion
      # Of a caution on a client; what is left of it says what it does.
      HEALTH = %i[side joint cleared_by cleared_on degrees named].freeze
      NAMED = "withheld"

      module_function

      # answer: what a view made. Of a client who is made up nothing is withheld: there is nobody.
      def of(answer) = made_up?(answer) ? answer : discreet(answer)

      def made_up?(answer) = answer.is_a?(Hash) && answer[:made_up] == true

      def discreet(answer)
        case answer
        when Hash
          caution?(answer) ? withheld(answer) : answer.transform_values { |value| of(value) }
        when Array
          answer.map { |value| of(value) }
        when String
          answer.gsub(titles) { |title| title.match?(/\A[[:upper:]]/) ? title_withheld : title_withheld.downcase }
        else
          answer.respond_to?(:to_hash) ? of(answer.to_hash) : listed(answer)
        end
      end

      def listed(answer) = answer.respond_to?(:to_ary) ? of(answer.to_ary) : answer

      def caution?(hash) = hash.key?(:does) || hash.key?("does")

      def withheld(line)
        line.to_h do |key, value|
          case key.to_sym
          when :name
            [key, NAMED]
          when :title
            [key, title_withheld]
          when *HEALTH
            [key, value.is_a?(Array) ? [] : nothing(value)]
          else
            [key, of(value)]
          end
        end
      end

      def nothing(value) = value.is_a?(String) ? "" : nil
      def title_withheld = Formats::Words.say("cautions.withheld")

      # Longer ones first: one may begin another.
      def titles
        @titles ||=
          Regexp.new(
            Regexp.union(
              Guidance::Cautions::RULES
                .keys
                .map { |name| Formats::Words.say("cautions.#{name}.title") }
                .sort_by { |title| -title.length }
            ).source,
            Regexp::IGNORECASE
          )
      end
      private_class_method :listed, :caution?, :withheld, :nothing, :title_withheld, :titles
    end
  end
end
