# frozen_string_literal: true

module Verglas
  module Formats
    module Paper
      # What a client does today, on A5: a line a machine in the order in which they come, with its marks, its load, and
      # boxes to tick.
      class SessionSheet
        SIZE_MM = [148, 210].freeze
        HEAD = 62
        FOOT = 18
        NAME = 106
        BOX = 11
        # Points of a line but for its notes, of its machine's name, of its tags, and how large the small print is.
        Ease = Struct.new(:row, :name, :tag, :note)
        # As roomy as one page allows; the last one turns the page where even that is not enough.
        EASES = [Ease.new(64, 26, 34, 7.5), Ease.new(54, 16, 28, 7), Ease.new(46, 13, 24, 6.5)].freeze

        # session: {client:, about:, gym:, everywhere:, lines: [{begins:, name:, place:, first:, marks:
        # [{name:, mark:}], load:, how:, notes:, sets:}]}; everywhere: what holds on all machines, "" for nothing;
        # first: said of a machine on which nobody fitted them, "" of any other.
        def initialize(session)
          @session = session
        end

        def render
          @pdf = Paper.document(SIZE_MM, margin_mm: 9)
          @page = Page.new(@pdf)
          @ease = EASES.find { |ease| fits?(ease) } || EASES.last
          head
          @session[:lines].each { |line| row(line) }
          @page.foot(Words.say("paper.pain"))
          @pdf.render
        end

        private

        def width = @pdf.bounds.width

        def fits?(ease)
          lines = @session[:lines].sum { |line| ease.row + tall(line[:notes], notes_width, ease) }
          HEAD + tall(@session[:everywhere], width, ease) + lines <= @pdf.bounds.height - FOOT
        end

        # With what keeps it from the line below it.
        def tall(words, width, ease)
          words.empty? ? 0 : @page.height_of(words, width: width, size: ease.note) + 4
        end

        def head
          top = @pdf.bounds.top
          @page.text(@session[:client], at: [0, top], width: width, height: 24, size: 19, bold: true)
          @page.text(@session[:gym], at: [0, top - 24], width: width, height: 12, size: 9, colour: MUTED)
          @page.text(@session[:about], at: [0, top - 38], width: width, height: 14, size: 10)
          everywhere = tall(@session[:everywhere], width, @ease)
          @page.text(@session[:everywhere], at: [0, top - HEAD + 6], width: width, height: everywhere, size: @ease.note)
          @y = top - HEAD - everywhere
        end

        # Those that do not fit go to the next page, whole.
        def row(line)
          notes = tall(line[:notes], notes_width, @ease)
          tall = @ease.row + notes
          turn if @y - tall < FOOT
          @pdf.stroke_horizontal_line(0, width, at: @y)
          named(line)
          settings(line)
          boxes(line)
          @page.text(line[:notes], at: [NAME + 6, @y - @ease.row], width: notes_width, height: notes, size: @ease.note)
          @y -= tall
        end

        def notes_width = width - NAME - 6

        def named(line)
          @page.text(line[:name], at: [0, @y - 6], width: NAME, height: @ease.name, size: 11, bold: true)
          @page.text(
            [line[:begins], line[:place], line[:first]].reject { |part| part.to_s.empty? }.join("\n"),
            at: [0, @y - @ease.name - 7],
            width: NAME,
            height: @ease.row - @ease.name - 9,
            size: @ease.note,
            colour: MUTED
          )
        end

        # Dashed where nobody has tried them.
        def settings(line)
          tags = [*line[:marks], *([{ name: Words.say("paper.load"), mark: line[:load] }] unless line[:load].empty?)]
          @page.tags(
            tags,
            at: [NAME + 6, @y - 7],
            width: width - NAME - 6,
            height: @ease.tag,
            dashed: !line[:first].empty?,
            filled: line[:load].empty? ? [] : [tags.size - 1]
          )
        end

        # What is done, and a box a set to tick.
        def boxes(line)
          top = @y - @ease.tag - 9
          @page.text(line[:how], at: [NAME + 6, top - 1], width: width - NAME - 80, height: 14, size: 8.5)
          line[:sets].times do |number|
            @pdf.stroke_rectangle([width - ((line[:sets] - number) * (BOX + 4)), top], BOX, BOX)
          end
        end

        def turn
          @pdf.start_new_page
          @y = @pdf.bounds.top
        end
      end
    end
  end
end
