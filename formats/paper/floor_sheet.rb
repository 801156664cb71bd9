# frozen_string_literal: true

module Verglas
  module Formats
    module Paper
      # A client's settings on every machine of the floor, on A4: what was fitted, firm; what is worked out and was
      # never tried, dashed; what is barred, with why.
      class FloorSheet
        ROW = 62
        TAG = 44
        NAME = 118
        CODE = 62
        HEAD = 74
        FOOT = 22
        NOTE = 8
        CARD_ONLY = %w[in out cue sets].freeze

        def initialize(card, address: nil)
          @card = Letters.named(card)
          @address = address
        end

        def render
          @pdf = Paper.document("A4", margin_mm: 14)
          @page = Page.new(@pdf)
          head
          rows.each { |kind, line| row(kind, line) }
          @page.foot(Words.say("paper.pain"))
          @pdf.render
        end

        private

        def width = @pdf.bounds.width
        def rows = %i[fitted predicted barred].flat_map { |kind| @card[kind].map { |line| [kind, line] } }

        def head
          top = @pdf.bounds.top
          @page.text(@card[:client], at: [0, top], width: width - CODE - 10, height: 26, size: 22, bold: true)
          about = [@card[:detail], @card[:gym], @card[:day]].reject { |part| part.to_s.empty? }.join(" · ")
          @page.text(about, at: [0, top - 28], width: width - CODE - 10, height: 14, size: 10, colour: MUTED)
          @page.code(@address, at: [width - CODE, top], side: CODE) if @address
          cautions(@card[:cautions].join(" "), top - 44)
          @y = [@y, top - HEAD].min
        end

        # However many there are.
        def cautions(words, from)
          style = { size: 9, bold: true, colour: CAUTION }
          used, left = @page.flow(words, at: [0, from], width: width - CODE - 10, height: from - FOOT, **style)
          @y = from - used - 8
          return if left.empty?

          next_page
          cautions(left, @y)
        end

        # Those that do not fit go to the next page, whole.
        def row(kind, line)
          notes = kind == :barred ? "" : notes(line)
          barred = kind == :barred ? line[:bars].join(" ") : ""
          height = [
            ROW,
            @page.height_of(notes, width: notes_width, size: NOTE) + 14,
            @page.height_of(barred, width: barred_width, size: 9) + 14
          ].max
          next_page if @y - height < FOOT
          @pdf.stroke_horizontal_line(0, width, at: @y)
          @page.text(line[:name], at: [0, @y - 6], width: NAME, height: 15, size: 11, bold: true)
          @page.text(
            [line[:place], line[:by]].compact.join("\n"),
            at: [0, @y - 21],
            width: NAME,
            height: ROW - 24,
            size: NOTE,
            colour: MUTED
          )
          kind == :barred ? barred(barred, height) : settings(kind, line)
          @page.text(notes, at: [width - notes_width, @y - 7], width: notes_width, height: height - 10, size: NOTE)
          @y -= height
        end

        # What is done at the machine stands on its own card.
        def notes(line)
          line[:told]
            .except(*CARD_ONLY.map { |name| Words.say("paper.told.#{name}") })
            .map { |name, words| "#{name}: #{words}" }
            .join("\n")
        end
        def tags_width = width * 0.46
        def notes_width = width - NAME - 18 - tags_width

        def settings(kind, line)
          tags = [*line[:marks], *([{ name: Words.say("paper.load"), mark: line[:load] }] if line[:load])]
          @page.tags(
            tags,
            at: [NAME + 8, @y - 8],
            width: tags_width,
            height: TAG,
            dashed: kind == :predicted,
            filled: line[:load] ? [tags.size - 1] : []
          )
        end

        def barred(words, height)
          @page.text(words, at: [NAME + 8, @y - 8], width: barred_width, height: height - 8, size: 9, colour: STOP)
        end
        def barred_width = width - NAME - 8

        def next_page
          @pdf.start_new_page
          @page.text(@card[:client], at: [0, @pdf.bounds.top], width: width, height: 16, size: 11, bold: true)
          @y = @pdf.bounds.top - 22
        end
      end
    end
  end
end
