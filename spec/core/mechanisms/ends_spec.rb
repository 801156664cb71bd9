# frozen_string_literal: true

require_relative "../../support/people"

# The two ends of a movement: the machine forces the start, the client decides the end unless a stop does.
RSpec.describe Verglas::Mechanisms::PivotArm do
  include People

  def at(machine, body, indices, **wishes)
    Verglas::Fitting::Evaluation.new(
      machine: machine,
      estimate: Verglas::Body::Estimate.exact(body),
      wishes: Worked.wishes(machine, **wishes),
      indices: indices
    )
  end

  # A curl whose arc a stop ends, in steps of 12 degrees.
  def with_stop(fixture, travel: [0, -12, -24, -36, -48])
    data = Worked::MACHINES.fetch(fixture)
    stop = {
      "label" => "end stop",
      "marks" => %w[1 2 3 4 5].take(travel.size),
      "travel" => travel,
      "drives" => {
        "end_angle" => 1
      }
    }
    Verglas::Machines::Reader.read(data.merge("adjusters" => data["adjusters"] + [stop]))
  end

  # Of a leg as it is drawn, in the machine's own sense.
  def shin_deg(limb, up) = (limb.points[1] - limb.points[0]).angle_deg * up

  # Independent of the closed form: halves the arc until the knee has the bend.
  def bisected(evaluation, bend)
    mechanics = evaluation.mechanics
    from, upto = evaluation.parameters.values_at(:start_angle, :end_angle)
    bends = ->(arm) { mechanics.knee_bend_deg(mechanics.contact(evaluation.place, arm).shin_deg) }
    60.times do
      middle = (from + upto) / 2.0
      (bends.call(middle) - bend).positive? == (bends.call(from) - bend).positive? ? from = middle : upto = middle
    end
    from
  end

  it "finds the arm's angle at the wanted end as halving the arc does (random people and machines)" do
    random = Random.new(5)
    %w[slide_back curl_plain curl_slide lie_flat lie_hinged].each do |name|
      machine = Worked.machine(name)
      20.times do
        indices = machine.adjusters.map { |adjuster| random.rand(adjuster.size) }
        wanted = machine.family.traits[:side].positive? ? random.rand(12..40) : random.rand(40..80)
        evaluation = at(machine, random_body(random), indices, end_bend_deg: wanted.to_f)
        next unless evaluation.quantities[:end_missing_deg].zero?

        expect(evaluation.quantities[:end_arm_deg]).to be_within(1e-6).of(bisected(evaluation, wanted))
      end
    end
  end

  it "tells the end of the arc and what is missing where the arc ends before" do
    evaluation = at(Worked.machine("curl_plain"), Worked.body("middle"), [3, 2, 5], end_bend_deg: 140.0)
    quantities = evaluation.quantities
    expect(quantities[:end_arm_deg]).to eq(evaluation.parameters[:end_angle])
    expect(quantities[:end_missing_deg]).to be_within(1e-9).of(140 - quantities[:knee_bend_end_deg])
  end

  it "cuts the end to what the knee may do, and before what goes slack, on a movement that bends" do
    curl = Worked.machine("curl_plain")
    target = ->(machine, **wishes) do
      at(machine, Worked.body("middle"), machine.adjusters.map { 2 }, **wishes).quantities[:end_target_deg]
    end
    expect(
      [
        target.call(curl),
        target.call(curl, knee_to_deg: 75.0),
        target.call(curl, end_bend_deg: 140.0, slack_from_deg: 112.0)
      ]
    ).to eq([90, 75, 107])
    extension = Worked.machine("slide_back")
    expect(
      [
        target.call(extension),
        target.call(extension, knee_from_deg: 10.0),
        target.call(extension, slack_from_deg: 112.0)
      ]
    ).to eq([0, 10, 0])
  end

  it "never draws a leg past the end that is asked for" do
    random = Random.new(8)
    %w[slide_back curl_plain lie_flat].each do |name|
      machine = Worked.machine(name)
      10.times do
        indices = machine.adjusters.map { |adjuster| random.rand(adjuster.size) }
        evaluation = at(machine, random_body(random), indices, knee_from_deg: 12.0, knee_to_deg: 75.0)
        drawn =
          evaluation.mechanics.knee_bend_deg(
            shin_deg(evaluation.picture.whole.part(:shin_at_end), evaluation.mechanics.up)
          )
        expect(machine.family.traits[:side].positive? ? drawn : -drawn).to be >=
          (machine.family.traits[:side].positive? ? 12.0 : -75.0) - 1e-6
      end
    end
  end

  it "calls no curl impossible because its arc goes further than the knee may" do
    machine = Worked.machine("curl_plain")
    advice =
      Verglas::Fitting::Advice.new(
        machine: machine,
        estimate: Worked.exact("middle"),
        wishes: Worked.wishes(machine, knee_to_deg: 60.0)
      )
    expect(advice.status).to eq(:fits)
  end

  it "starts no curl straighter than a clinician allows" do
    machine = Worked.machine("curl_slide")
    advice =
      Verglas::Fitting::Advice.new(
        machine: machine,
        estimate: Worked.exact("middle"),
        wishes: Worked.wishes(machine, knee_from_deg: 20.0)
      )
    expect(advice.evaluation.quantities[:knee_bend_start_deg]).to be >= 20
    plain =
      Verglas::Fitting::Advice.new(
        machine: Worked.machine("curl_plain"),
        estimate: Worked.exact("middle"),
        wishes: Worked.wishes(Worked.machine("curl_plain"), knee_from_deg: 20.0)
      )
    expect([plain.status, plain.evaluation.findings.find { |finding| finding.code == :start }.fault]).to eq(
      %i[impossible past_straight_limit]
    )
  end

  describe "where a stop ends the movement" do
    it "chooses the mark nearest to the end that is wanted and not past what the knee may do" do
      machine = with_stop("curl_plain")
      [95.0, 80.0, 70.0].each do |limit|
        advice =
          Verglas::Fitting::Advice.new(
            machine: machine,
            estimate: Worked.exact("middle"),
            wishes: Worked.wishes(machine, knee_to_deg: limit)
          )
        ends =
          machine.adjusters.last.marks.each_index.map do |index|
            at(machine, Worked.body("middle"), [*advice.evaluation.indices[0...-1], index]).quantities[
              :knee_bend_end_deg
            ]
          end
        allowed = ends.select { |bend| bend <= limit }
        expect(advice.evaluation.quantities[:knee_bend_end_deg]).to be_within(1e-9).of(
          allowed.min_by { |bend| (bend - [90.0, limit].min).abs }
        )
      end
    end

    it "is graded there, refused past the limit, and told as what decides the stop" do
      machine = with_stop("curl_plain")
      past = at(machine, Worked.body("middle"), [3, 2, 5, 0], knee_to_deg: 75.0)
      expect(Verglas::Guidance::NeverAccepted.reasons(past, barred: false)).to eq([:past_knee_bend_limit])
      expect(machine.adjusters.map { |adjuster| machine.deciding(adjuster) }.last).to eq(:end)
      expect(past.findings.map(&:code)).to include(:end)
    end

    it "is solved as the full product would (random people)" do
      machine = with_stop("lie_hinged", travel: [0, -10, -22])
      random = Random.new(21)
      10.times do
        body = random_body(random)
        wishes = Worked.wishes(machine, knee_to_deg: 70.0 + (random.rand * 40))
        mechanics = Verglas::Mechanisms.for(machine, body, wishes)
        every = machine.adjusters.map { |adjuster| (0...adjuster.size).to_a }
        best =
          every
            .first
            .product(*every.drop(1))
            .map do |indices|
              Verglas::Fitting::Score.of(
                mechanics
                  .all_findings(mechanics.place(machine.parameters(indices)))
                  .reject { |finding| finding.code == :range_left }
              )
            end
            .min
        expect(Verglas::Fitting::Solver.new(machine: machine, body: body, wishes: wishes).solutions.first.score).to eq(
          best
        )
      end
    end
  end
end
