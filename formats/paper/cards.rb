# frozen_string_literal: true

module Verglas
  module Formats
    module Paper
      # A client's settings as A6 cards, one machine a card: marks as large as the card takes, then load, in and out, cautions.
      class Cards
        SIZE = [148, 105].freeze
        MARKS_HEIGHT = 84
        CODE = 66
        LINE_HEIGHT = 11.5

        # card: Web::Views::Card's data; address: what the code opens, nil for none.
        def initialize(card, address: nil)
          @card = card
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

        def draw(line)
          head(line)
          tags = [*line[:marks], *([{ name: Words.say("paper.load"), mark: line[:load] }] if line[:load])]
          @page.tags(tags, at: [0, top - 40], width: width, height: MARKS_HEIGHT, filled: line[:load] ? [tags.size - 1] : [])
          body(line, top - 40 - MARKS_HEIGHT - 8)
          foot(line)
        end

        def head(line)
          @page.text(line[:name], at: [0, top], width: width * 0.58, height: 20, size: 16, bold: true)
          @page.text(line[:place], at: [0, top - 20], width: width * 0.58, height: 13, size: 9, colour: MUTED)
          @page.text(@card[:client], at: [width * 0.6, top], width: width * 0.4, height: 20, size: 14, bold: true, align: :right)
          @page.text(@card[:detail], at: [width * 0.6, top - 20], width: width * 0.4, height: 13, size: 9, colour: MUTED, align: :right)
        end

        # Bars and cautions first, then what is done; as many lines as there is room for, none cut.
        def body(line, from)
          room = width - (@address ? CODE + 10 : 0)
          stop = [*line[:bars], *line[:cautions]].join(" ")
          height = from - 22
          told = line[:told].map { |name, words| "#{name}: #{words}" }
          warned = stop.empty? ? 0 : [LINE_HEIGHT * ((stop.length / 80) + 1), height / 2].min
          @page.text(stop, at: [0, from], width: room, height: warned, size: 9, bold: true, colour: line[:bars].any? ? STOP : CAUTION) if warned.positive?
          @page.text(told.join("\n"), at: [0, from - warned], width: room, height: height - warned, size: 10.5)
          @page.code(@address, at: [width - CODE, 22 + CODE], side: CODE) if @address
        end

        def foot(line)
          @page.text(Words.say("paper.pain"), at: [0, 14], width: width * 0.62, height: 14, size: 6.5, colour: MUTED)
          @page.text([@card[:gym], line[:by]].compact.join(" · "), at: [width * 0.62, 14], width: width * 0.38, height: 14, size: 6.5, colour: MUTED, align: :right)
        end

        def nothing = @page.text(Words.say("paper.nothing"), at: [0, top], width: width, height: 60, size: 12)
      end
    end
  end
end
