# frozen_string_literal: true

# People drawn from what is known of bodies: the Cholesky factor of a covariance times standard normals.
class PeopleDrawn
  def initialize(seed)
    @random = Random.new(seed)
  end

  def normal = Math.sqrt(-2 * Math.log(1 - @random.rand)) * Math.cos(2 * Math::PI * @random.rand)
  def sex = @random.rand < 0.5 ? "man" : "woman"

  # known: Statistics::Normal; answers Body::Dimensions.
  def body(known)
    steps = known.mean.map { normal }
    offsets = factor(known.covariance).map { |row| row.zip(steps).sum { |entry, step| entry * step } }
    Verglas::Body::Dimensions.new(*known.mean.zip(offsets).map(&:sum))
  end

  private

  def factor(matrix)
    matrix
      .each_index
      .with_object([]) do |i, rows|
        rows << Array.new(matrix.size, 0.0)
        (0..i).each do |j|
          rest = matrix[i][j] - (0...j).sum { |k| rows[i][k] * rows[j][k] }
          rows[i][j] = i == j ? Math.sqrt([rest, 1e-12].max) : rest / rows[j][j]
        end
      end
  end
end
