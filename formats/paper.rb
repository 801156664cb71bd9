# frozen_string_literal: true

require "prawn"
require "rqrcode_core"

module Verglas
  module Formats
    # Sheets to be printed and carried: PDF by Prawn, in the fonts that ship with it. What stands on them comes as plain
    # data with its words; here it is only set. mm in, points within.
    module Paper
      FONTS = File.join(__dir__, "paper", "fonts")
      # Nothing of them is dated or named after a person, so that the same data make the same bytes.
      INFO = { Title: "Verglas", Creator: "Verglas", Producer: "Verglas" }.freeze
      INK = "172026"
      MUTED = "52616A"
      LINE = "7D8C93"
      CAUTION = "8A5A08"
      STOP = "AF3E29"
      QUIET = "F3F6F6"

      # size: "A4", or [width, height] in mm.
      def self.document(size, margin_mm: 10)
        pages = size.is_a?(String) ? { page_size: size } : { page_size: size.map { |mm| points(mm) } }
        Prawn::Document
          .new(**pages, margin: points(margin_mm), info: INFO, compress: true)
          .tap do |pdf|
            pdf.font_families.update(
              "text" => faces("next"),
              "mark" => faces("mono"),
              "letters" => faces("noto"),
              "strong letters" => faces("noto", %w[strong strong])
            )
            pdf.font("text")
            pdf.fill_color(INK)
            pdf.stroke_color(LINE)
          end
      end

      def self.faces(name, weights = %w[regular strong])
        %i[normal bold].zip(weights).to_h { |style, weight| [style, File.join(FONTS, "#{name}-#{weight}.ttf")] }
      end
      def self.points(millimetres) = millimetres * 72 / 25.4
      private_class_method :faces
    end
  end
end
