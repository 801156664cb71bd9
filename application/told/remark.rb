# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # What is odd about a machine's lengths (Fitting::Plausibility), as sentences.
      module Remark
        # Units in which lengths are typed.
        MM_PER = { "cm" => 10.0, "in" => 25.4 }.freeze

        module_function

        # typed: the unit of lengths where somebody types them, "cm" or "in".
        def says(remark, machine, typed) = send(:"#{remark.code}_words", remark, machine, typed)

        # Lengths behind the pivot are typed without their sign, so they are told without it.
        def unusual_words(remark, machine, typed)
          name = remark.constants.first
          unit = machine.family.constant(name).unit
          value, *usual =
            remark
              .params
              .values_at(:value, :low, :high)
              .map { |number| remark.params[:high].positive? ? number : -number }
          low, high = usual.minmax.map { |number| amount(number, unit, typed) }
          Formats::Words.say(
            "remarks.unusual",
            length: Formats::Words.say("constants.#{name}.title"),
            value: amount(value, unit, typed),
            low: low,
            high: high
          )
        end

        def fits_few_words(remark, machine, typed)
          finding, off, tried, least = remark.params.values_at(:finding, :off, :tried, :least)
          unit = machine.family.findings.fetch(finding).unit
          Formats::Words.say(
            "remarks.fits_few",
            finding: Formats::Words.say("findings.#{finding}.title"),
            off: off,
            tried: tried,
            least: amount(least.abs, unit, typed),
            constants: remark.constants.map { |name| Formats::Words.say("constants.#{name}.title").downcase }.join(", ")
          )
        end

        # In the unit in which it is typed, as exact as it is read.
        def amount(value, unit, typed)
          case unit
          when :mm
            "#{format("%.1f", value / MM_PER.fetch(typed))} #{typed}"
          when :deg
            Finding.amount(value, unit)
          else
            [Load.number(value), *(unit if unit == :kg)].join(" ")
          end
        end

        def seat_behind_back_words(*) = Formats::Words.say("remarks.seat_behind_back")
        def arc_backwards_words(*) = Formats::Words.say("remarks.arc_backwards")
        private_class_method :amount, :unusual_words, :fits_few_words, :seat_behind_back_words, :arc_backwards_words
      end
    end
  end
end
