# frozen_string_literal: true

module Verglas
  module Statistics
    # The same evenly spread draws of a standard normal for whoever asks: what is compared by them differs by what is
    # compared, and not by luck. A sequence of the golden ratio's kind (its root grows with the dimensions), two
    # dimensions at a time turned into normals (Box and Muller).
    module Draws
      COUNT = 512

      module_function

      # A draw of a normal about nought with that covariance, from one of the standard normal.
      def spread(covariance, draw)
        root(covariance).map { |row| row.each_with_index.sum { |entry, index| entry * draw[index] } }
      end

      # COUNT arrays of that many numbers.
      def standard(dimensions) = (@standard ||= {})[dimensions] ||= made(dimensions).freeze

      # The same of a normal about nought with that covariance (n rows of n), which may be singular.
      def of(covariance)
        root = root(covariance)
        standard(covariance.size).map do |draw|
          root.map { |row| row.each_with_index.sum { |entry, index| entry * draw[index] } }
        end
      end

      def made(dimensions)
        pairs = (dimensions + 1) / 2
        steps = Array.new(2 * pairs) { |index| (1 / ratio(2 * pairs))**(index + 1) }
        Array.new(COUNT) { |number| normals(steps.map { |step| (0.5 + ((number + 1) * step)) % 1 }).first(dimensions) }
      end

      def normals(uniforms)
        uniforms
          .each_slice(2)
          .flat_map do |one, other|
            radius = Math.sqrt(-2 * Math.log(1 - one))
            angle = 2 * Math::PI * other
            [radius * Math.cos(angle), radius * Math.sin(angle)]
          end
      end

      # The root above one of x^(d + 1) = x + 1.
      def ratio(dimensions) = 40.times.inject(2.0) { |x, _| (1 + x)**(1.0 / (dimensions + 1)) }

      # Cholesky's lower triangle; a direction without variance has none.
      def root(covariance)
        covariance
          .each_with_index
          .with_object([]) do |(entries, row), lower|
            line = lower[row] = []
            (0..row).each do |column|
              known = (0...column).sum { |index| line[index] * (column < row ? lower[column][index] : line[index]) }
              line << (
                column < row ? over(entries[column] - known, lower[column][column]) : positive(entries[row] - known)
              )
            end
          end
      end

      def over(rest, pivot) = pivot.zero? ? 0.0 : rest / pivot
      def positive(square) = Math.sqrt([square, 0.0].max)
      private_class_method :made, :normals, :ratio, :root, :over, :positive
    end
  end
end
