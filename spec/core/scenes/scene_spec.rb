# frozen_string_literal: true

# What is drawn, read as numbers: every picture agrees with what was computed.
RSpec.describe Verglas::Scenes::Scene do
  def evaluation(fixture, body: "long_legged", indices: nil, **wishes)
    machine = Worked.machine(fixture)
    Verglas::Fitting::Evaluation.new(
      machine: machine,
      estimate: Worked.exact(body),
      wishes: Worked.wishes(machine, **wishes),
      indices: indices || machine.adjusters.map { |adjuster| adjuster.size / 2 }
    )
  end

  def scene(evaluation) = evaluation.picture.whole
  def distance(one, other) = (one - other).norm

  # From a point to the surface of a limb between two round ends.
  def off_the_limb(point, limb)
    from, upto = limb.points
    along = (upto - from).unit
    share = (point - from).dot(along).clamp(0, (upto - from).norm)
    radius = limb.radii[0] + ((limb.radii[1] - limb.radii[0]) * share / (upto - from).norm)
    distance(point, from + (along * share)) - radius
  end

  fixtures = %w[slide_back slide_seat curl_plain curl_slide curl_shin lie_flat lie_hinged]

  fixtures.each do |fixture|
    describe fixture do
      let(:shown) { evaluation(fixture) }
      let(:drawn) { scene(shown) }

      it "puts the joint where the numbers say, and the pivot in the middle" do
        target = drawn.targets.first
        expect(target.at.to_a).to eq([0.0, 0.0])
        expect(target.joint.s).to be_within(1e-9).of(shown.quantities[:knee_s_mm])
        expect(target.joint.n).to be_within(1e-9).of(shown.quantities[:knee_n_mm] * shown.mechanics.up)
        expect(target.joint.norm).to be_within(1e-9).of(shown.finding(:offset).value)
        expect(target.in_line_mm).to eq(15)
      end

      it "keeps the body's lengths and the arm's" do
        expect(distance(*drawn.part(:shin).points)).to be_within(1e-6).of(440.0)
        expect(distance(*drawn.part(:shin_at_end).points)).to be_within(1e-6).of(440.0)
        expect(distance(drawn.part(:hip).at, drawn.targets.first.joint)).to be_within(1e-6).of(452.0)
        expect(drawn.part(:roller).at.norm).to be_within(1e-6).of(shown.parameters[:roller_reach])
        expect(drawn.part(:roller).radii).to eq([shown.parameters[:roller_radius]])
      end

      it "lets the roller just touch the lower leg, where it is and where it will be" do
        { shin: :roller, shin_at_end: :roller_at_end }.each do |limb, roller|
          pad = drawn.part(roller)
          expect(off_the_limb(pad.at, drawn.part(limb))).to be_within(3).of(pad.radii.first), limb.to_s
        end
      end

      it "writes at the leg the number that is graded, as long as it is said" do
        above = drawn.dimensions.find { |one| one.of == :contact }
        expect(above.value).to be_within(1e-9).of(shown.finding(:contact).value)
        expect(distance(above.from, above.to)).to be_within(1e-6).of(above.value.abs)
      end

      it "draws nobody past where the client turns back, with a tick there" do
        turning = drawn.dimensions.find { |one| one.of == :turning }
        expect(turning.value).to eq(shown.mechanics.end_target_deg)
        expect(drawn.part(:roller_at_end).at).to eq(turning.from)
        ends = drawn.part(:target).points
        expect(distance((ends[0] + ends[1]) * 0.5, turning.from)).to be_within(1e-6).of(0)
        expect(drawn.part(:arc).degrees.last).to be_within(1e-6).of(
          -shown.quantities[:end_arm_deg] * shown.mechanics.up
        )
      end

      it "shows the stretch of the leg that the roller travels, and where it is wanted" do
        travelled = distance(*drawn.part(:travelled).points)
        expect(travelled).to be >= 0
        wanted = drawn.part(:wanted).points
        ankle = drawn.part(:shin).points.last
        expect(distance((wanted[0] + wanted[1]) * 0.5, ankle)).to be_within(1e-6).of(60.0)
      end

      it "stands within its window as advised and a notch either way, for everybody, and keeps its scale while " \
           "marks are stepped" do
        %w[small middle tall large].each do |body|
          advised =
            Verglas::Fitting::Advice.new(
              machine: shown.machine,
              estimate: Worked.exact(body),
              wishes: Worked.wishes(shown.machine)
            ).evaluation
          around = Verglas::Fitting::Neighbours.steps(advised).values.flatten.compact
          [advised, *around].each { |one| expect(beyond(scene(one))).to be_empty, body }
          expect(around.map { |one| scene(one).window }.uniq.size).to eq(1) if around.any?
        end
      end

      it "has a frozen place for every end of the tape, and moves one of them with every length" do
        family = shown.machine.family
        tapes = Verglas::Scenes::Tapes.new(family, shown.machine.constants)
        family
          .constants
          .reject { |_, constant| constant.optional }
          .each do |name, constant|
            points = tapes.length(name)
            expect(points.size).to eq(constant.unit == :deg ? 3 : 2)
            if constant.unit == :mm && name != :roller_reach
              expect(distance(points[0], points[-1])).to be_within(1.0).of(shown.machine.constants[name].abs)
            end
          end
      end
    end
  end

  # Parts of the leg or the arm that lie outside the window.
  def beyond(scene)
    frame = scene.window
    scene
      .parts
      .reject(&:faded)
      .flat_map { |part| part.points.map { |point| [part.id, point] } }
      .reject do |_, point|
        point.s.between?(frame[:left], frame[:left] + frame[:width]) &&
          point.n.between?(frame[:bottom], frame[:bottom] + frame[:height])
      end
  end

  it "sits the client against the back pad and on the seat, cushions between" do
    plain = scene(evaluation("slide_seat"))
    cushioned = scene(evaluation("slide_seat", cushion_back_mm: 20.0, cushion_seat_mm: 15.0))
    moved = cushioned.part(:hip).at - plain.part(:hip).at
    expect(moved.to_a.map { |mm| mm.round(6) }).to eq([20.0, 15.0])
    expect([plain.part(:cushion_back), cushioned.part(:cushion_back)&.role]).to eq([nil, :cushion])
  end

  it "draws a thigh pad as it is taped, its underside and its edge, moving with its mark" do
    low, high =
      [4, 5].map { |mark| scene(evaluation("curl_plain", body: "middle", indices: [3, 2, mark])).part(:thigh_pad) }
    machine = Worked.machine("curl_plain")
    parameters = machine.parameters([3, 2, 4])
    expect(low.points.map(&:n).min).to be_within(1e-9).of(parameters[:thigh_pad_height] - parameters[:pivot_above_seat])
    expect(low.points.map(&:s).max).to be_within(1e-9).of(parameters[:thigh_pad_front])
    expect(high.points.map(&:n).min - low.points.map(&:n).min).to be_within(1e-9).of(10)
  end

  it "turns a bench the right way up: the hips above its surface by the pad, the roller above the leg" do
    lying = evaluation("lie_flat", body: "tall", indices: [4], hip_pad_mm: 60.0)
    drawn = scene(lying)
    expect(drawn.part(:hip).at.n - drawn.targets.first.joint.n).to be_within(1e-6).of(60.0)
    expect(drawn.part(:roller).at.n).to be > drawn.targets.first.joint.n
    expect(drawn.part(:bench).points.map(&:s).max).to eq(lying.parameters[:bench_end])
    expect(drawn.part(:hip_pad).points.map(&:n).minmax.inject(:-).abs).to be_within(1e-9).of(60)
  end

  it "draws nothing of an arm that nobody has taped" do
    data =
      Worked::MACHINES["curl_plain"].merge(
        "constants" => Worked::MACHINES["curl_plain"]["constants"].merge("roller_reach" => nil)
      )
    half = Verglas::Machines::Reader.read_known(data)
    shown =
      Verglas::Fitting::Evaluation.new(
        machine: half,
        estimate: Worked.exact("middle"),
        wishes: Worked.wishes(half),
        indices: [3, 0, 4]
      )
    expect(scene(shown)).to be_nil
    expect(shown.findings.map(&:code)).to eq(%i[offset crease_gap kneecap_gap thigh_press])
  end

  it "knows no role that nobody colours" do
    expect do
      Verglas::Scenes::Sketch.new.line(
        :lamp,
        :lamp,
        Verglas::Geometry::Point.new(0, 0),
        Verglas::Geometry::Point.new(1, 0),
        width: 3
      )
    end.to raise_error(ArgumentError, /lamp/)
  end
end
