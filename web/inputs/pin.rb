# frozen_string_literal: true

module Verglas
  module Web
    module Inputs
      # Digits with which a tablet is taken over. Those which anybody tries first are refused.
      module Pin
        # A middle column of the keys, down and up.
        COLUMNS = %w[2580 0852].freeze

        module_function

        # Raises Invalid for digits that are too easily guessed.
        def check!(pin) = simple?(pin) && raise(Invalid.new(:pin_simple, path: "/pin"))

        # One digit or two or three again and again, digits in a row up or down (each once or doubled), a column of the
        # keys.
        def simple?(pin) = COLUMNS.include?(pin) || repeats?(pin) || run?(pin.squeeze)

        def repeats?(pin)
          (1..(pin.size / 2)).any? { |length| (pin.size % length).zero? && pin == pin[0, length] * (pin.size / length) }
        end

        # From 9 a row goes on with 0.
        def run?(pin)
          steps = pin.chars.each_cons(2).map { |one, next_one| (next_one.to_i - one.to_i) % 10 }
          [1, 9].any? { |step| steps.all?(step) }
        end
        private_class_method :repeats?, :run?
      end
    end
  end
end
