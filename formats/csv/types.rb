# frozen_string_literal: true

require "date"
require "time"

module Verglas
  module Formats
    module Csv
      # What a cell holds, each with read(text, unit) to a value and write(value) to a text. read raises Invalid; it is
      # never given an empty text.
      module Types
        NUMBER = /\A([+-]?\d{1,9}(?:[.,]\d{1,9})?)\s*(mm|cm|m|in|kg|lb|"|°)?\z/i
        CODES = { '"' => "in" }.freeze
        UUID = /\A\h{8}-\h{4}-\h{4}-\h{4}-\h{12}\z/

        # Signs that are not seen: they turn what stands beside them, or end a line.
        UNSEEN = /[\p{Cc}\u200E\u200F\u202A-\u202E\u2066-\u2069\uFEFF]/

        # Blanks at the ends and doubled ones taken off.
        Text =
          Struct.new(:most) do
            def read(text, _unit = nil)
              tidy = text.strip.gsub(/\s+/, " ")
              raise Invalid.new(:too_long, expected: most) if tidy.length > most
              raise Invalid, :unseen_sign if tidy.match?(UNSEEN)

              tidy
            end

            def write(value) = Csv.neutral(value.to_s)
          end

        # One of several words; what else they are called.
        Choice =
          Struct.new(:known, :also) do
            def read(text, _unit = nil)
              word = text.strip.downcase.tr(" ", "_")
              word = (also || {}).fetch(word, word)
              known.include?(word) ? word : raise(Invalid.new(:not_allowed, expected: known.join(", ")))
            end

            def write(value) = value.to_s
          end

        # A number within a range, in a unit of its kind (per: {unit => how many of ours}); the unit stands in the cell,
        # in the header or is the file's. A comma may stand for the point.
        Number =
          Struct.new(:range, :per, :digits) do
            def read(text, unit = nil)
              digits, own = NUMBER.match(text.strip)&.captures
              raise Invalid, :no_number unless digits

              within(in_ours(digits.tr(",", ".").to_f, own&.downcase, unit))
            end

            def write(value)
              return "" if value.nil?

              (value % 1).zero? ? value.to_i.to_s : value.to_f.to_s
            end

            private

            def in_ours(number, own, unit)
              return number unless per

              number *
                per.fetch(CODES.fetch(own, own) || unit) do
                  raise Invalid.new(:unknown_unit, expected: per.keys.join(", "))
                end
            end

            def within(value)
              value = value.round(self[:digits] || 3)
              raise Invalid.new(:out_of_range, low: write(range.min), high: write(range.max)) unless range.cover?(value)

              value
            end
          end

        # A whole number.
        Count =
          Struct.new(:range) do
            def read(text, _unit = nil)
              raise Invalid, :no_number unless text.strip.match?(/\A-?\d{1,9}\z/)
              raise Invalid.new(:out_of_range, low: range.min, high: range.max) unless range.cover?(text.to_i)

              text.to_i
            end

            def write(value) = value.to_s
          end

        # As people write it.
        module YesNo
          WORDS = {
            "yes" => true,
            "no" => false,
            "true" => true,
            "false" => false,
            "1" => true,
            "0" => false,
            "y" => true,
            "n" => false
          }.freeze

          module_function

          def read(text, _unit = nil)
            WORDS.fetch(text.strip.downcase) { raise Invalid.new(:not_allowed, expected: "yes, no") }
          end
          def write(value) = { true => "yes", false => "no" }[value].to_s
        end

        # 1990-05-31, or with the day first as on the floor: 31/05/1990, 31.5.1990.
        module Day
          module_function

          def read(text, _unit = nil)
            day, month, year = text.strip.match(%r{\A(\d{1,2})[/.](\d{1,2})[/.](\d{4})\z})&.captures
            text = format("%<year>s-%<month>02d-%<day>02d", year: year, month: month.to_i, day: day.to_i) if year
            raise Invalid, :no_date unless text.strip.match?(/\A\d{4}-\d\d-\d\d\z/)

            Date.iso8601(text.strip)
          rescue Date::Error
            raise Invalid, :no_date
          end

          def write(value) = value&.iso8601.to_s
        end

        # A moment with its zone, or a day (its noon).
        module Moment
          module_function

          def read(text, _unit = nil)
            text = text.strip
            return Day.read(text).then { |day| Time.utc(day.year, day.month, day.day, 12) } if text.length <= 10

            time = Time.iso8601(text).utc
            (1900..2200).cover?(time.year) ? time : raise(Invalid, :no_date)
          rescue ArgumentError
            raise Invalid, :no_date
          end

          def write(value)
            return "" unless value

            value.utc.iso8601(value.usec.zero? ? 0 : 6)
          end
        end

        # A UUID.
        module Id
          module_function

          def read(text, _unit = nil) = text.strip.downcase.tap { |id| raise(Invalid, :no_id) unless id.match?(UUID) }
          def write(value) = value.to_s
        end

        # Names with values, as in "seat=4; roller=C": what divides them stands as %3D, %3B and %25 within them.
        Pairs =
          Struct.new(:numbers) do
            def read(text, _unit = nil)
              text
                .split(";")
                .map(&:strip)
                .reject(&:empty?)
                .to_h do |pair|
                  name, value =
                    pair.split("=", 2).map { |part| part.strip.gsub(/%(3B|3D|25)/i) { Regexp.last_match(1).hex.chr } }
                  raise Invalid, :no_pairs unless value && !name.empty? && name.length <= 80 && value.length <= 80

                  [name, numbers ? number(value) : value]
                end
            end

            def write(value)
              Csv.neutral(
                value
                  .to_h
                  .map { |name, one| "#{kept(name)}=#{kept(numbers && one.is_a?(Numeric) ? plain(one) : one.to_s)}" }
                  .join("; ")
              )
            end

            private

            def number(text)
              text.match?(/\A[+-]?\d{1,9}(?:[.,]\d{1,9})?\z/) ? text.tr(",", ".").to_f : raise(Invalid, :no_number)
            end
            def plain(value) = (value % 1).zero? ? value.to_i.to_s : value.to_f.to_s
            def kept(text) = text.to_s.gsub(/[%;=]/) { |sign| format("%%%02X", sign.ord) }
          end

        # What has parts of its own, as JSON.
        module Data
          MOST = 4000

          module_function

          def read(text, _unit = nil)
            raise Invalid.new(:too_long, expected: MOST) if text.length > MOST

            value = JSON.parse(text, max_nesting: 6)
            value.is_a?(Hash) ? value : raise(Invalid, :not_json)
          rescue JSON::ParserError
            raise Invalid, :not_json
          end

          def write(value) = value.nil? ? "" : JSON.generate(value)
        end
      end
    end
  end
end
