# frozen_string_literal: true

# Random people and readings for specs; all from the example's seeded generator.
module People
  # An exact body drawn about the shares of a random stature, each length with some 5 percent of scatter.
  def random_body(random)
    stature = 1480 + (random.rand * 510)
    Verglas::Body::Dimensions.from(
      Worked
        .body("middle")
        .to_h
        .to_h do |name, value|
          scatter = name == :stature ? 1 : 1 + ((random.rand - 0.5) * 0.14)
          [name, value * stature / 1700 * scatter]
        end
    )
  end

  def reading(observation, value, confirmed: false)
    Verglas::Body::Reading.new(observation: observation, value_mm: value.to_f, confirmed: confirmed)
  end

  def estimate(sex: "man", **readings)
    Verglas::Body::Estimation.new(sex: sex, readings: readings.map { |name, value| reading(name, value) }).estimate
  end
end
