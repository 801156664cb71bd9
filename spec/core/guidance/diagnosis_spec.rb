# frozen_string_literal: true

RSpec.describe Verglas::Guidance::Diagnosis do
  let(:machine) { Worked.machine("slide_back") }
  let(:exact) { Worked.exact("middle") }

  def at(indices, body: exact, on: machine)
    Verglas::Fitting::Evaluation.new(machine: on, estimate: body, wishes: Worked.wishes(on), indices: indices)
  end

  def accepted?(evaluation)
    evaluation.findings.none? { |found| evaluation.kind(found.code).never.include?(found.fault) }
  end
  def causes(evaluation, sign) = described_class.new(evaluation).suspects(sign).map { |suspect| suspect.cause.name }

  it "says of a roller that climbs that the knee is ahead of the pivot where it is, and moves the back pad to it" do
    ahead = at([0, 2, 2])
    expect(ahead.quantities[:knee_s_mm]).to be > 15
    suspect = described_class.new(ahead).suspects(:roller_climbs).first
    expect([suspect.cause.name, suspect.adjuster]).to eq([:knee_ahead, "back pad"])
    expect(suspect.probability).to be > 0.95
    expect(suspect.to.quantities[:knee_s_mm].abs).to be < ahead.quantities[:knee_s_mm].abs
    expect(suspect.to.quantities[:creep_mm].abs).to be < ahead.quantities[:creep_mm].abs
  end

  it "turns round where the roller slides the other way" do
    behind = at([machine.adjusters.first.size - 1, 2, 2])
    suspect = described_class.new(behind).suspects(:roller_slides).first
    expect(suspect.cause.name).to eq(:knee_behind)
    expect(suspect.to.quantities[:knee_s_mm]).to be > behind.quantities[:knee_s_mm]
    expect(
      described_class.new(behind).suspects(:roller_climbs).find { |one| one.cause.name == :knee_ahead }.probability
    ).to be < 0.05
  end

  it "agrees with the creep that the geometry computes: whichever way the roller goes, the first cause says so" do
    machine.adjusters.first.size.times do |index|
      evaluation = at([index, 2, 2])
      next if evaluation.quantities[:knee_s_mm].abs < 2 * evaluation.quantities[:knee_n_mm].abs

      sign, cause =
        evaluation.quantities[:creep_mm].negative? ? %i[roller_climbs knee_ahead] : %i[roller_slides knee_behind]
      expect(causes(evaluation, sign).first).to eq(cause), "at #{index}"
    end
  end

  it "puts what no number speaks for between what the numbers say and what they deny" do
    marks = machine.adjusters.find { |adjuster| adjuster.label == "start" }.size
    starts = Array.new(marks) { |index| at([2, 2, index]) }
    starts = starts.sort_by { |evaluation| evaluation.quantities[:knee_bend_start_deg] }
    shallow, deep = [starts.first, starts.last].map { |evaluation| causes(evaluation, :knee_aches_at_start) }
    expect(shallow.first(2)).to eq(%i[flung toes_turned])
    expect(starts.last.quantities[:knee_bend_start_deg]).to be > 98
    expect(deep.first).to eq(:start_deep)
  end

  it "keeps the table's order where nothing is measured, and knows no notch" do
    suspects = described_class.new(at([2, 2, 2])).suspects(:one_side_works_harder)
    expect(suspects.map { |suspect| [suspect.cause.name, suspect.probability, suspect.to] }).to eq(
      [[:hips_not_square, nil, nil], [:roller_not_square, nil, nil]]
    )
  end

  it "names no notch where there is none left" do
    last = at([machine.adjusters.first.size - 1, 2, 2])
    below = described_class.new(last).suspects(:edge_bites_calf).first
    expect(below.cause.name).to eq(:back_pad_back)
    expect(below.to.indices[0]).to eq(last.indices[0] - 1)
    expect(
      described_class.new(at([0, 2, 2])).suspects(:edge_bites_calf).find { |one| one.cause.name == :back_pad_back }.to
    ).to be_nil
  end

  it "refuses a sign that the machine does not have" do
    expect { described_class.new(at([2, 2, 2])).suspects(:hips_rise) }.to raise_error(Verglas::Invalid) { |error|
      expect(error.code).to eq(:unknown_sign)
    }
  end

  it "has words for every cause, and every number it names is one of its families'" do
    Verglas::Guidance::Signs::ALL.each_value do |sign|
      sign.causes.each do |cause|
        expect(Verglas::Formats::Words.maybe("causes.#{cause.name}.title")).to be_a(String), cause.name.to_s
        expect(Verglas::Formats::Words.maybe("causes.#{cause.name}.do")).to be_a(String), cause.name.to_s
        next unless cause.finding

        meant = Verglas::Machines::Families.single.select { |family| family.all?([*sign.of, *cause.of]) }
        expect(meant.select { |family| cause.meant_on?(family) }).not_to be_empty, cause.name.to_s
      end
    end
  end

  describe "on random people at random marks of every family" do
    # The number that speaks for a cause, worked out anew: positive where it lies on the cause's side.
    def beyond(cause, evaluation)
      if cause.quantity
        number = evaluation.quantities[cause.quantity]
        return cause.over ? number : -number
      end
      finding = evaluation.findings.find { |candidate| candidate.code == cause.finding }
      in_line = evaluation.kind(cause.finding).band.in_line
      cause.over ? finding.graded - in_line.max : in_line.min - finding.graded
    end

    def one_notch_away(evaluation)
      evaluation.machine.adjusters.each_with_index.flat_map do |adjuster, place|
        [-1, 1].filter_map do |step|
          moved = evaluation.indices.dup.tap { |indices| indices[place] += step }
          at(moved, body: evaluation.estimate, on: evaluation.machine) if moved[place].between?(0, adjuster.size - 1)
        end
      end
    end

    %w[slide_back slide_seat curl_plain curl_slide curl_shin lie_flat lie_hinged].each do |fixture|
      it "names the notch that lessens the cause and makes the whole better, the best of them and each once, on " \
           "#{fixture}" do
        random = Random.new(41)
        on = Worked.machine(fixture)
        6.times do
          indices = on.adjusters.map { |adjuster| random.rand(adjuster.size) }
          evaluation = at(indices, body: Verglas::Body::Estimate.exact(random_body(random)), on: on)
          others = one_notch_away(evaluation)
          Verglas::Guidance::Signs
            .of(on)
            .each do |sign|
              offered = []
              described_class
                .new(evaluation)
                .suspects(sign)
                .select { |suspect| suspect.cause.measured? }
                .each do |suspect|
                  now = beyond(suspect.cause, evaluation)
                  best =
                    others
                      .select do |other|
                        beyond(suspect.cause, other) < now - 1 && other.score < evaluation.score && accepted?(other)
                      end
                      .min_by(&:score)
                  best = nil if best && offered.include?(best.indices)
                  offered << best&.indices
                  expect(suspect.to&.indices).to eq(best&.indices), "#{sign} #{suspect.cause.name}"
                  expect(suspect.probability).to now.positive? ? be > 0.5 : be <= 0.5
                end
            end
        end
      end
    end

    it "puts what is shown before what is open before what is denied, the surer first" do
      random = Random.new(42)
      40.times do
        indices = machine.adjusters.map { |adjuster| random.rand(adjuster.size) }
        diagnosis = described_class.new(at(indices, body: Verglas::Body::Estimate.exact(random_body(random))))
        Verglas::Guidance::Signs
          .of(machine)
          .each do |sign|
            ranks = diagnosis.suspects(sign).map(&:rank)
            expect(ranks).to eq(ranks.sort), sign.to_s
          end
      end
    end
  end

  # The one rule of help: it exists, nothing never accepted comes of it, and the whole is better with it. Else the cause
  # stands without a move.
  Worked::MACHINES.each_key do |fixture|
    exercises =
      Verglas::Machines::Families
        .fetch(Verglas::Machines::Families.named(*Worked::MACHINES[fixture].values_at("family", "kind")))
        .plain_exercises
        .keys
    exercises.each do |exercise|
      it "offers on #{[fixture, exercise].compact.join(", ")} only moves that are there and make it better, each " \
           "once" do
        on = Verglas::Machines::Reader.read(Worked::MACHINES.fetch(fixture), exercise: exercise)
        random = Random.new(43)
        sizes = on.family.choices.each_value.reject(&:placed?).to_h { |choice| [choice.name, [10, 20, 40]] }
        8.times do
          evaluation =
            at(
              on.adjusters.map { |adjuster| random.rand(adjuster.size) },
              body: Verglas::Body::Estimate.exact(random_body(random)),
              on: on
            )
          diagnosis = described_class.new(evaluation, sizes: sizes)
          Verglas::Guidance::Signs
            .of(on)
            .each do |sign|
              moves = diagnosis.suspects(sign).select(&:to)
              expect(moves.map(&:move).uniq.size).to eq(moves.size), sign.to_s
              expect(moves.map { |suspect| suspect.to.score }).to all(be < evaluation.score)
              expect(moves.map { |suspect| accepted?(suspect.to) }).to all(be(true))
              expect(
                moves.map do |suspect|
                  suspect.to.indices.zip(evaluation.indices).sum { |one, other| (one - other).abs }
                end
              ).to all(be <= 1)
            end
        end
      end
    end
  end

  describe "after a creep test" do
    # What an arm that turns about a knee off by so much would show, read at four angles.
    def read(evaluation, knee)
      readings =
        [95, 60, 25, -5].map do |arm_deg|
          contact =
            Verglas::Linkages::RollerContact.at(
              knee: knee,
              reach_mm: evaluation.parameters[:roller_reach],
              clearance_mm: evaluation.mechanics.clearance_mm(evaluation.place),
              side: 1,
              arm_deg: arm_deg
            )
          [arm_deg, 120 + contact.contact_mm]
        end
      Verglas::Fitting::SeenKnee.read(evaluation, readings)
    end

    def uncertain(indices) = at(indices, body: Verglas::Body::Prior.estimate(sex: "man"))

    it "ranks by the knee that was seen, not by the one that was computed, and moves it nearest to the pivot" do
      evaluation = uncertain([2, 2, 2])
      seen = read(evaluation, Verglas::Geometry::Point.new(-45.0, 2.0))
      expect(seen.at(evaluation).s).to be_within(20).of(-45)
      plain, outranked =
        [nil, seen].map do |answer|
          described_class
            .new(evaluation, seen: answer)
            .suspects(:roller_slides)
            .find { |one| one.cause.name == :knee_behind }
        end
      expect(outranked.probability).to be > 0.97
      expect(outranked.probability).to be > plain.probability
      expect(seen.at(outranked.to).norm).to be < seen.at(evaluation).norm
    end

    it "names the mark that brings the seen knee nearest, by trying them all, and none where it is nearest" do
      evaluation = uncertain([2, 2, 2])
      seen = read(evaluation, Verglas::Geometry::Point.new(-60.0, 0.0))
      label, other = seen.best(evaluation)
      tried = machine.adjusters.first.marks.each_index.map { |index| seen.at(uncertain([index, 2, 2])).norm }
      expect([label, seen.at(other).norm]).to match(["back pad", be_within(1e-6).of(tried.min)])
      expect(seen.best(other)).to be_nil
      expect((seen.at(other) - seen.at(evaluation)).s).to be_within(1e-6).of(
        other.quantities[:knee_s_mm] - evaluation.quantities[:knee_s_mm]
      )
    end
  end
end
