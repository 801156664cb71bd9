# frozen_string_literal: true

module Verglas
  module Formats
    module Paper
      # What a client does today, on A5: a line a machine in the order in which they come, with its marks, its load, and
      # boxes to tick.
      class SessionSheet
        SIZE_MM = [148, 210].freeze
        HEAD = 62
        ROW = 64
        FOOT = 18
        NAME = 106
        TAG = 34
        BOX = 13
        NOTE = 7.5

        # session: {client:, about:, gym:, lines: [{begins:, name:, place:, first:, marks: [{name:, mark:}], load:,
        # how:, notes:, sets:}]}; first: said of a machine on which nobody fitted them, "" of any other.
        def initialize(session)
          @session = session
        end

        def render
          @pdf = Paper.document(SIZE_MM, margin_mm: 9)
          @page = Page.new(@pdf)
          head
          @session[:lines].each { |line| row(line) }
          @page.foot(Words.say("paper.pain"))
          @pdf.render
        end

        private

        def width = @pdf.bounds.width

        def head
          top = @pdf.bounds.top
          @page.text(@session[:client], at: [0, top], width: width, height: 24, size: 19, bold: true)
          @page.text(@session[:gym], at: [0, top - 24], width: width, height: 12, size: 9, colour: MUTED)
          @page.text(@session[:about], at: [0, top - 38], width: width, height: 14, size: 10)
          @y = top - HEAD
        end

        # Those that do not fit go to the next page, whole.
        def row(line)
          notes = @page.height_of(line[:notes], width: notes_width, size: NOTE)
          tall = ROW + (notes.zero? ? 0 : notes + 4)
          turn if @y - tall < FOOT
          @pdf.stroke_horizontal_line(0, width, at: @y)
          named(line)
          settings(line)
          boxes(line)
          @page.text(line[:notes], at: [NAME + 6, @y - ROW], width: notes_width, height: notes + 2, size: NOTE)
          @y -= tall
        end

        def notes_width = width - NAME - 6

        def named(line)
          @page.text(line[:name], at: [0, @y - 6], width: NAME, height: 26, size: 11, bold: true)
          @page.text(
            [line[:begins], line[:place], line[:first]].reject { |part| part.to_s.empty? }.join("\n"),
            at: [0, @y - 33],
            width: NAME,
            height: ROW - 36,
            size: 7.5,
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
            height: TAG,
            dashed: !line[:first].empty?,
            filled: line[:load].empty? ? [] : [tags.size - 1]
          )
        end

        # What is done, and a box a set to tick.
        def boxes(line)
          top = @y - TAG - 12
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
