# frozen_string_literal: true

module Verglas
  module Formats
    module Paper
      # An adjuster's marks in true size, to be stuck beside one that has none of its own: a tick and its name at the
      # travel of each mark. What is longer than a sheet goes on in the next strip, which is laid against the last tick
      # of the one before.
      class Scale
        WIDTH_MM = 24
        GAP_MM = 14
        CHECK_MM = 100
        TOP_MM = 34
        FOOT_MM = 22

        # machine, label: in words; marks: [[mark, travel in mm from the first]], ascending.
        def initialize(machine:, label:, marks:)
          @machine = machine
          @label = label
          @marks = marks
        end

        # [from, to] in mm of each strip, each beginning where the one before ends.
        def strips
          length = @marks.last[1].to_f
          count = [(length / room_mm).ceil, 1].max
          (0...count).map { |index| [index * room_mm, [(index + 1) * room_mm, length].min] }
        end

        def render
          @pdf = Paper.document("A4", margin_mm: 12)
          @page = Page.new(@pdf)
          strips
            .each_slice(across)
            .with_index do |page, index|
              @pdf.start_new_page if index.positive?
              head
              page.each_with_index { |strip, place| draw(strip, points(place * (WIDTH_MM + GAP_MM))) }
              check
            end
          @pdf.render
        end

        private

        def points(millimetres) = Paper.points(millimetres)
        def room_mm = 297 - 24 - TOP_MM - FOOT_MM
        def across = ((210 - 24 + GAP_MM) / (WIDTH_MM + GAP_MM)).floor
        def top = @pdf.bounds.top - points(TOP_MM)

        def head
          @page.text(
            "#{@machine}: #{@label}",
            at: [0, @pdf.bounds.top],
            width: @pdf.bounds.width,
            height: 24,
            size: 18,
            bold: true
          )
          @page.text(
            Words.say("paper.scale"),
            at: [0, @pdf.bounds.top - 26],
            width: @pdf.bounds.width,
            height: points(TOP_MM) - 40,
            size: 9,
            colour: MUTED
          )
        end

        def draw(strip, left)
          from, upto = strip
          @pdf.line_width(0.6)
          @pdf.stroke_rectangle([left, top], points(WIDTH_MM), points(upto - from))
          @marks
            .select { |_, at| at.between?(from, upto) }
            .each { |mark, at| tick(mark, top - points(at - from), left) }
        end

        # Its name stands below the tick, but for the last of a strip.
        def tick(mark, height, left)
          @pdf.line_width(1.2)
          @pdf.stroke_line([left, height], [left + points(9), height])
          @page.text(
            mark,
            at: [left + points(10), height + 6],
            width: points(WIDTH_MM - 11),
            height: 13,
            size: 11,
            bold: true,
            font: "mark"
          )
        end

        # To be measured before it is stuck on: a printer may scale.
        def check
          base = points(FOOT_MM - 8)
          @pdf.line_width(1.2)
          @pdf.stroke_line([0, base], [points(CHECK_MM), base])
          [0, CHECK_MM].each { |at| @pdf.stroke_line([points(at), base - 6], [points(at), base + 6]) }
          @page.text(
            Words.say("paper.check", mm: CHECK_MM),
            at: [points(CHECK_MM) + 8, base + 6],
            width: @pdf.bounds.width - points(CHECK_MM) - 8,
            height: 14,
            size: 9
          )
        end
      end
    end
  end
end
