# frozen_string_literal: true

require "open3"

RSpec.describe Verglas::Formats::Compute do
  let(:door) { described_class.new(machines: Worked::MACHINES, bodies: Worked::BODIES) }
  let(:schema) { Verglas::Formats::Schema.new("compute") }

  def answer(request) = JSON.parse(door.answer(request.is_a?(String) ? request : JSON.generate(request)))

  # Every expected field, wherever in the answer it stands; numbers to a tenth.
  def agree(expected, given, path = "")
    case expected
    when Hash
      expected.each { |key, value| agree(value, given.fetch(key), "#{path}/#{key}") }
    when Array
      expected.each_with_index { |value, index| agree(value, given.fetch(index), "#{path}/#{index}") }
    when Numeric
      expect(given).to be_within(path.match?(%r{ratio|/p|below|above$}) ? 0.001 : 0.1).of(expected), path
    else
      expect(given).to eq(expected), path
    end
  end

  # The same but for a thousandth, or one in ten thousand.
  def close?(expected, given)
    case expected
    when Hash
      given.keys.sort == expected.keys.sort && expected.all? { |key, value| close?(value, given[key]) }
    when Array
      given.size == expected.size && expected.zip(given).all? { |one, other| close?(one, other) }
    when Float
      (expected - given).abs <= [0.001, expected.abs * 1e-4].max
    else
      expected == given
    end
  end

  Worked
    .examples("evaluate")
    .concat(
      Worked.examples("advise"),
      Worked.examples("contact"),
      Worked.examples("parameters"),
      Worked.examples("probability"),
      Worked.examples("hip_pad"),
      Worked.examples("effort"),
      Worked.examples("body")
    )
    .each_with_index do |example, number|
      it "answers worked example #{number + 1} (#{example["op"]}) with the same numbers, in the documented form" do
        answered = answer({ op: example["op"], **example["input"] })
        expected =
          example["expect"].except("sd_hip_depth_plus_thigh", "cov_thigh_shank", "cov_thigh_torso", "start_is_a_fault")
        expected = { "joint" => expected } if expected.key?("p_in_line")
        agree(expected, answered)
        if example["expect"].key?("start_is_a_fault")
          expect(answered["findings"]["start"].last == "fault").to be(example["expect"]["start_is_a_fault"])
        end
        expect { schema.check!("#{example["op"]}_answer", answered) }.not_to raise_error
      end
    end

  JSON
    .parse(File.read(File.join(Worked::FOLDER, "floor_examples.json")))
    .each_with_index do |example, number|
      it "answers example #{number + 1} of the floor (#{example["request"]["op"]}), in the documented form" do
        answered = answer(example["request"])
        expect(close?(example["answer"], answered)).to be(true), answered.to_s
        expect { schema.check!("#{example["request"]["op"]}_answer", answered) }.not_to raise_error
      end
    end

  it "says what is missing where what is kept does not fit, and refuses one exercise twice" do
    floor = JSON.parse(File.read(File.join(Worked::FOLDER, "floor_examples.json")))
    row = floor.find { |one| one["request"]["op"] == "session" }.dig("request", "exercises", 0)
    kept = row.merge("keep" => true)
    expect(answer({ op: "session", exercises: [kept], seconds: 10 })).to eq(
      { "missing_s" => kept.values_at("set_s", "light_s", "change_s", "in_s", "out_s").sum + 10 - 10 }
    )
    expect(answer({ op: "session", exercises: [kept, kept], seconds: 10 }).dig("error", "code")).to eq("exercise_twice")
  end

  it "takes a machine and a body whole, as well as by their ids" do
    named = { op: "advise", machine: "slide_back", body: "middle" }
    whole = { op: "advise", machine: Worked::MACHINES["slide_back"], body: Worked::BODIES["middle"] }
    expect(answer(whole)).to eq(answer(named))
  end

  it "takes a body as sex and readings, inside or beside" do
    readings = [["stature", 1822], ["seat_to_kneecap", 641]]
    inside = answer({ op: "advise", machine: "slide_back", body: { sex: "man", readings: readings } })
    expect(inside).to eq(answer({ op: "advise", machine: "slide_back", sex: "man", readings: readings }))
    expect(inside["from"]).to eq(%w[stature seat_to_kneecap])
  end

  describe "something hostile" do
    let(:plain) { Worked::MACHINES.fetch("slide_back") }

    def served = expect(answer({ op: "probability", positions: [1, 2, 3], mu: 2, sigma: 1 })).to have_key("p")

    it "of more marks than can be compared is refused at once, and the next line is served" do
      adjusters =
        Array.new(12) do |number|
          {
            label: "adjuster #{number}",
            marks: Array.new(60, &:to_s),
            travel: Array.new(60) { |mark| mark / 10.0 },
            drives: {
              back_face: 1
            }
          }
        end
      refused = answer({ op: "advise", machine: plain.merge("adjusters" => adjusters), body: "middle" })
      expect(refused["error"]).to include("code" => "too_many_marks", "path" => "/machine/adjusters")
      served
    end

    it "in a collection is told to who names it, one line each, and the others are served" do
      door =
        described_class.new(
          machines: {
            "number" => 5,
            "null" => nil,
            "empty" => {
            },
            "list" => [1],
            "half" => {
              "family" => "extension"
            },
            "odd" => plain.merge("adjusters" => [nil]),
            "good" => plain
          },
          bodies: {
            "number" => 5,
            "short" => {
              "thigh" => 400
            }
          }
        )
      ask = ->(machine, body) { JSON.parse(door.answer(JSON.generate({ op: "advise", machine: machine, body: body }))) }
      %w[number null empty list half odd].each do |id|
        expect(ask[id, { sex: "man", readings: [["stature", 1800]] }]["error"]["path"]).to start_with("/machine"), id
      end
      %w[number short nobody].each { |id| expect(ask["good", id]["error"]["path"]).to start_with("/body"), id }
      expect(ask["good", { sex: "man", readings: [["stature", 1800]] }]).to have_key("marks")
    end

    it "whatever its numbers, ends in an answer" do
      numbers = [0, -0.0, 1e-300, -1e300, 1e308, 99_999.9, 180, 360, -90]
      random = Random.new(7)
      answers =
        Array.new(150) do
          constants =
            plain["constants"].transform_values do |value|
              random.rand(3).zero? ? numbers.sample(random: random) : value
            end
          answer(
            {
              op: %w[advise parameters].sample(random: random),
              machine: plain.merge("constants" => constants),
              marks: plain["adjusters"].to_h { |one| [one["label"], one["marks"].first] },
              body: "middle"
            }.reject { |name, _| name == :body && random.rand(5).zero? }
          )
        end
      expect(answers).to all(be_a(Hash))
      served
    end

    it "that fails within the computation is one line, and says nothing of ours" do
      allow(Verglas::Formats::Operations).to receive(:probability).and_raise(SystemStackError)
      expect(answer({ op: "probability", positions: [1], mu: 2, sigma: 1 })["error"]).to eq(
        { "code" => "not_computable", "path" => "", "message" => "not computable" }
      )
    end
  end

  bad = {
    "{" => ["not_json", ""],
    "" => ["not_json", ""],
    "[]" => ["wrong_type", ""],
    "\xFF" => ["not_json", ""],
    "{}" => %w[missing /op],
    '{"op":"dance"}' => %w[unknown_operation /op],
    '{"op":"advise","body":"middle"}' => %w[missing /machine],
    '{"op":"advise","machine":"slide_back"}' => %w[missing /body],
    '{"op":"advise","machine":"lamp","body":"middle"}' => %w[unknown_machine /machine],
    '{"op":"advise","machine":"slide_back","body":"nobody"}' => %w[unknown_body /body],
    '{"op":"advise","machine":"slide_back","body":{"stature":1700}}' => %w[missing /body/thigh],
    '{"op":"advise","machine":"slide_back","body":"middle","options":{"wanted":"low"}}' => %w[
      wrong_type
      /options/wanted
    ],
    '{"op":"advise","machine":"slide_back","body":"middle","options":{"colour":1}}' => %w[
      unknown_field
      /options/colour
    ],
    '{"op":"advise","machine":"slide_back","body":"middle","options":{"cushions":{"back":[0]}}}' => %w[
      cushion_out_of_range
      /options/cushions
    ],
    '{"op":"evaluate","machine":"slide_back","body":"middle","marks":{"back pad":"9","roller":"A","start":"1"}}' => [
      "unknown_mark",
      "/marks/back pad"
    ],
    '{"op":"evaluate","machine":"slide_back","body":"middle","marks":{"back pad":"1"}}' => %w[mark_missing /marks],
    '{"op":"evaluate","machine":{"family":"extension","constants":{},"adjusters":[]},"body":"middle","marks":{}}' => %w[
      constant_missing
      /machine/constants
    ],
    '{"op":"evaluate","machine":{"family":"sofa","constants":{},"adjusters":[]},"body":"middle","marks":{}}' => %w[
      unknown_family
      /machine/family
    ],
    '{"op":"body","readings":[["stature",-3]]}' => %w[too_small /readings/0/1],
    '{"op":"body","sex":"other"}' => %w[not_allowed /sex],
    '{"op":"contact","e":[0,0],"R":0,"D":90,"side":1,"theta":[0]}' => %w[too_small /R],
    '{"op":"contact","e":[0],"R":300,"D":90,"side":1,"theta":[0]}' => %w[too_few /e],
    '{"op":"probability","positions":[1,1],"mu":0,"sigma":1}' => %w[repeated /positions]
  }
  bad.each do |line, (code, path)|
    it "answers #{line[0, 60].inspect} with #{code} at #{path.inspect}" do
      answered = answer(line)
      expect(answered["error"].slice("code", "path")).to eq({ "code" => code, "path" => path })
      expect { schema.check!("error_answer", answered) }.not_to raise_error
    end
  end

  it "survives anything: a thousand mangled requests get an answer each" do
    random = Random.new(9)
    line =
      JSON.generate(
        {
          op: "evaluate",
          machine: Worked::MACHINES["slide_back"],
          body: Worked::BODIES["middle"],
          marks: {
            "back pad" => "3",
            "roller" => "C",
            "start" => "3"
          }
        }
      )
    1000.times do
      mangled = line.dup
      random
        .rand(1..6)
        .times { mangled[random.rand(mangled.size)] = '0-9e.{}[]",:nulltrue'.chars.sample(random: random) }
      expect(JSON.parse(door.answer(mangled))).to be_a(Hash)
    end
  end

  it "works as a command: a line in, a line out, going on after a bad one, with ids from files" do
    machines = File.join(Worked::FOLDER, "machines", "extension.json")
    bodies = File.join(Worked::FOLDER, "worked_examples.json")
    input =
      %({"op":"advise","machine":"slide_back","body":"middle"}\nnonsense\n) +
        %({"op":"probability","positions":[0,10],"mu":4,"sigma":3}\n)
    output, status =
      Open3.capture2(
        File.join(Verglas::ROOT, "bin", "compute"),
        "--machines",
        machines,
        "--bodies",
        bodies,
        stdin_data: input
      )
    lines = output.lines.map { |line| JSON.parse(line) }
    expect(status).to be_success
    expect([lines[0]["status"], lines[1].dig("error", "code"), lines[2]["p"].size]).to eq(["fits", "not_json", 2])
  end

  it "says in one line which file it could not read" do
    _, error, status =
      Open3.capture3(File.join(Verglas::ROOT, "bin", "compute"), "--machines", "no-such-file.json", stdin_data: "")
    expect(status).not_to be_success
    expect(error).to match(/unreadable file at no-such-file.json/)
  end
end
