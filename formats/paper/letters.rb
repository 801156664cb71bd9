# frozen_string_literal: true

require "ttfunk"

module Verglas
  module Formats
    module Paper
      # Which letters can be set on paper: Latin with Vietnamese, Greek, Cyrillic. Scripts whose letters join, stack or
      # run from the right are not shaped by the library that sets them; what it would set wrongly is said instead.
      module Letters
        SCRIPTS = /[\p{Latin}\p{Greek}\p{Cyrillic}\p{Common}\p{Inherited}]/
        OWN = %w[next-regular mono-regular].freeze
        OTHER = "noto-regular"
        # As Prawn knows the other font, which has to be told its weight.
        FALLBACK = { false => ["letters"].freeze, true => ["strong letters"].freeze }.freeze
        private_constant :SCRIPTS, :OWN, :OTHER, :FALLBACK

        module_function

        # A name as it stands on paper: number, where it cannot.
        def printed_name(text, number) = set?(text) ? text : Words.say("paper.unset_name", number: number)

        # A card with its client's name as it stands on paper.
        def named(card) = { **card, client: printed_name(card[:client], card[:number]) }

        # Words with what cannot be set said to be there.
        def of(text)
          set?(text) ? text.unicode_normalize(:nfc) : text.unicode_normalize(:nfc).gsub(unset, Words.say("paper.unset"))
        end

        # Fonts that are needed beside ours.
        def fallback(text, bold) = text.each_char.all? { |letter| own.include?(letter.ord) } ? [] : FALLBACK.fetch(bold)

        def set?(text) = !text.unicode_normalize(:nfc).match?(unset)

        # Runs of letters that no font of ours has, or that need shaping.
        def unset = @unset ||= /[^\s#{all_known}]+(?:[^\S\n]+[^\s#{all_known}]+)*/

        def all_known
          letters = [*own, *other].uniq.sort.map { |code| [code].pack("U") }.grep(SCRIPTS)
          letters
            .slice_when { |one, following| following.ord > one.ord + 1 }
            .map { |run| [run.first, run.last].map { |letter| format("\\u{%x}", letter.ord) }.uniq.join("-") }
            .join
        end

        def own = @own ||= OWN.map { |name| codes(name) }.inject(:&)
        def other = @other ||= codes(OTHER)
        def codes(name) = TTFunk::File.open(File.join(FONTS, "#{name}.ttf")).cmap.unicode.first.code_map.keys.to_set
        private_class_method :unset, :all_known, :own, :other, :codes
      end
    end
  end
end
