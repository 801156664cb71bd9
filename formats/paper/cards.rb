# frozen_string_literal: true

module Verglas
  module Formats
    module Paper
      # A client's settings as A6 cards, one machine a card: marks as large as the card takes, then load, in and out,
      # cautions.
      class Cards
        SIZE = [148, 105].freeze
        MARKS_HEIGHT = 84
        CODE = 66
        LINE_HEIGHT = 13
        HEAD = 40
        FOOT = 22

        # card: Web::Views::Card's data; address: what the code opens, nil for none.
        def initialize(card, address: nil)
          @card = Letters.named(card)
          @address = address
        end

        def render
          @pdf = Paper.document(SIZE, margin_mm: 8)
          @page = Page.new(@pdf)
          lines = @card[:fitted]
          lines.each_with_index do |line, index|
            @pdf.start_new_page if index.positive?
            draw(line)
          end
          nothing if lines.empty?
          @pdf.render
        end

        private

        def width = @pdf.bounds.width
        def top = @pdf.bounds.top

        # What has no room goes on with the next card, under the same head: nothing is cut, and nothing stands smaller
        # for it.
        def draw(line)
          head(line)
          tags = [*line[:marks], *([{ name: Words.say("paper.load"), mark: line[:load] }] if line[:load])]
          @page.tags(
            tags,
            at: [0, top - HEAD],
            width: width,
            height: MARKS_HEIGHT,
            filled: line[:load] ? [tags.size - 1] : []
          )
          first = @pdf.page_number
          left = body(pieces(line), top - HEAD - MARKS_HEIGHT - 8)
          foot(line)
          while left.any?
            @pdf.start_new_page
            head(line)
            left = body(left, top - HEAD)
            foot(line)
          end
          number(first) if @pdf.page_number > first
        end

        # Bars and cautions first, then what is done.
        def pieces(line)
          stop = [*line[:bars], *line[:cautions]].join(" ")
          told = line[:told].map { |name, words| "#{name}: #{words}" }.join("\n")
          [
            [stop, { size: 9, bold: true, colour: line[:bars].any? ? STOP : CAUTION }],
            [told, { size: 10 }]
          ].reject { |words, _| words.empty? }
        end

        # Draws as many pieces as there is room for; answers those that are left.
        def body(pieces, from)
          room = width - (@address ? CODE + 10 : 0)
          @page.code(@address, at: [width - CODE, FOOT + CODE], side: CODE) if @address
          pieces.each_with_index do |(words, style), index|
            height = from - FOOT
            return pieces.drop(index) if height < LINE_HEIGHT

            used, left = @page.flow(words, at: [0, from], width: room, height: height, **style)
            return [left, style], *pieces.drop(index + 1) unless left.empty?

            from -= used + 3
          end
          []
        end

        # Which of how many, on each card of one machine.
        def number(first)
          last = @pdf.page_number
          (first..last).each do |page|
            @pdf.go_to_page(page)
            of = Words.say("paper.card_of", card: page - first + 1, cards: last - first + 1)
            @page.text(
              of,
              at: [width * 0.8, top - 31],
              width: width * 0.2,
              height: 9,
              size: 8,
              bold: true,
              align: :right
            )
          end
          @pdf.go_to_page(last)
        end

        def head(line)
          @page.text(line[:name], at: [0, top], width: width * 0.58, height: 20, size: 16, bold: true)
          @page.text(line[:place], at: [0, top - 20], width: width * 0.58, height: 13, size: 9, colour: MUTED)
          @page.text(
            @card[:client],
            at: [width * 0.6, top],
            width: width * 0.4,
            height: 20,
            size: 14,
            bold: true,
            align: :right
          )
          @page.text(
            @card[:detail],
            at: [width * 0.6, top - 20],
            width: width * 0.4,
            height: 13,
            size: 9,
            colour: MUTED,
            align: :right
          )
        end

        def foot(line)
          @page.text(Words.say("paper.pain"), at: [0, 14], width: width * 0.62, height: 14, size: 6.5, colour: MUTED)
          @page.text(
            [@card[:gym], line[:by]].compact.join(" · "),
            at: [width * 0.62, 14],
            width: width * 0.38,
            height: 14,
            size: 6.5,
            colour: MUTED,
            align: :right
          )
        end

        def nothing = @page.text(Words.say("paper.nothing"), at: [0, top], width: width, height: 60, size: 12)
      end
    end
  end
end
