# frozen_string_literal: true

# What is misspelt does not load: each slip is refused with file, line and the nearest name that there is.
RSpec.describe Verglas::Closing do
  families = Verglas::Machines::Families.single
  numbers = families.flat_map { |family| described_class.admit(family) }
  known = { **described_class.names(families), quantity: numbers }

  # The file of core/data with one of its words changed.
  def changed(table, from, into)
    text = File.read(File.join(Verglas::Tables::FOLDER, "#{table}.yml"))
    expect(text).to include(from)
    text.sub(from) { into }
  end

  # As config/core.rb starts, with that file instead.
  define_method(:start) do |table, from, into|
    source = Verglas::Tables.source(table, changed(table, from, into))
    Verglas::Tables.read(table, source)
    source.references.each { |reference| reference.check(known) }
  end

  {
    "a column" => [
      :cautions,
      "    half_first: true",
      "    half_frist: true",
      /cautions\.yml:\d+: half_frist is no column: did you mean half_first\?/
    ],
    "a tag" => [
      :cautions,
      "tags: [loads_knee], until: cleared",
      "tags: [loads_nee], until: cleared",
      /cautions\.yml:\d+: loads_nee is no bar: did you mean loads_knee\?/
    ],
    "a tag that is asked" => [
      :cautions,
      "asks: [loads_knee, kneels]",
      "asks: [loads_nee, kneels]",
      /loads_nee is no tag: did you mean loads_knee\?/
    ],
    "what ends a bar" => [
      :cautions,
      "until: cleared }",
      "until: clearedd }",
      /clearedd is no choice here: did you mean cleared\?/
    ],
    "an action" => [
      :cautions,
      "press: { knee_flexion: [~, 70] }",
      "presses: { knee_flexion: [~, 70] }",
      /presses is no action: did you mean press\?/
    ],
    "another action" => [
      :cautions,
      "calf: { heel_drop: [~, 0] }",
      "calve: { heel_drop: [~, 0] }",
      /calve is no action: did you mean calf\?/
    ],
    "a wish" => [
      :cautions,
      "press: { upright: 1 }",
      "press: { uprigth: 1 }",
      /uprigth is no wish: did you mean upright\?/
    ],
    "what is left out" => [
      :cautions,
      "without: [block_mm,",
      "without: [blok_mm,",
      /blok_mm is no choice: did you mean block_mm\?/
    ],
    "a motion" => [
      :cautions,
      "degrees_of: hip_flexion",
      "degrees_of: hip_flextion",
      /hip_flextion is no motion: did you mean hip_flexion\?/
    ],
    "a joint" => [:cautions, "    of: knee\n", "    of: kne\n", /kne is no joint: did you mean knee\?/],
    "a school" => [
      :cautions,
      "schools: { legs_turned: straight }",
      "schools: { legs_turned: strait }",
      /legs_turned\.strait is no school: did you mean legs_turned\.straight\?/
    ],
    "a question" => [
      :cautions,
      "schools: { legs_turned: straight }",
      "schools: { leg_turned: straight }",
      /leg_turned is no question: did you mean legs_turned\?/
    ],
    "another row" => [
      :cautions,
      "as_cleared: blood_pressure",
      "as_cleared: bloodpressure",
      /bloodpressure is no caution: did you mean blood_pressure\?/
    ],
    "a comma that splits a source" => [
      :limits,
      "source: working figure }",
      "source: working figure, seldom more }",
      /limits\.yml:\d+: seldom more is no column/
    ],
    "a muscle's purpose" => [:regions, "works: [calf]", "works: [calves]", /calves is no purpose: did you mean calf\?/],
    "a finding" => [
      :signs,
      "finding: crease_gap, over: true",
      "finding: crease_gapp, over: true",
      /crease_gapp is no finding: did you mean crease_gap\?/
    ],
    "a number of a mechanism" => [
      :signs,
      "quantity: knee_s_mm",
      "quantity: knee_x_mm",
      /knee_x_mm is no quantity: did you mean knee_[sn]_mm\?/
    ],
    "a decision" => [:signs, "kind: recline", "kind: reclin", /reclin is no decision: did you mean recline\?/],
    "a stage" => [:topics, "stage: secure", "stage: secured", /secured is no stage: did you mean secure\?/],
    "a question of a topic" => [
      :topics,
      "question: grip",
      "question: gripp",
      /gripp is no question: did you mean grip\?/
    ],
    "what a caution says of a topic" => [
      :topics,
      "cautions: [breathe_out",
      "cautions: [breath_out",
      /breath_out is no told: did you mean breathe_out\?/
    ],
    "a limit" => [:limits, "as: hinge", "as: hing", /hing is no limit: did you mean hinge\?/],
    "a figure" => [
      :press,
      "slack_mm: 35",
      "slack_m: 35",
      /press\.yml:\d+: slack_m is no column: did you mean slack_mm\?/
    ],
    "a figure of another table" => [
      :bands,
      "=press.stop.slack_mm",
      "=press.stop.slak_mm",
      /bands\.yml:\d+: slak_mm is no in press: did you mean slack_mm\?/
    ],
    "a reading that is asked for" => [
      :body,
      "ask_for: [floor_to_knee_top]",
      "ask_for: [floor_to_kneetop]",
      /floor_to_kneetop is no observation: did you mean floor_to_knee_top\?/
    ],
    "a rule that nobody asks" => [
      :refits,
      "name: grown",
      "name: grow",
      /refits\.yml:\d+: grow is no row here: did you mean grown\?/
    ],
    "a unit" => [:bands, "offset: { unit: mm", "offset: { unit: m", /m is no choice here: did you mean mm\?/],
    "a number" => [:press, "slack_mm: 35", "slack_mm: thirty", /"thirty" is no number/],
    "a source that is left out" => [:spread, ", source: working figure }", " }", /spread\.yml:\d+: source is missing/],
    "a row that is there already" => [
      :tags,
      "name: loads_hip,",
      "name: loads_knee,",
      /tags\.yml:\d+: loads_knee is said twice/
    ],
    "a key that is there already" => [:knee, "creep: {", "ends: {", /knee\.yml:\d+: ends is said twice/]
  }.each do |what, (table, from, into, complaint)|
    it "refuses a slip in #{what}" do
      expect { start(table, from, into) }.to raise_error(Verglas::Tables::Misspelt, complaint)
    end
  end

  it "tells the line on which the slip stands" do
    text = changed(:cautions, "press: { upright: 1 }", "press: { uprigth: 1 }")
    line = text.lines.index { |one| one.include?("uprigth") } + 1
    expect { start(:cautions, "press: { upright: 1 }", "press: { uprigth: 1 }") }.to raise_error(
      Verglas::Tables::Misspelt,
      /\Acore.data.cautions\.yml:#{line}: /
    )
  end

  it "takes every table as it is" do
    expect([*Verglas::Tables.references, *Verglas::Machines::Families.references].size).to be > 1000
    expect { described_class.call }.not_to raise_error
    expect(Verglas::Tables::Layouts::ALL.keys.map(&:to_s)).to match_array(
      Dir[File.join(Verglas::Tables::FOLDER, "*.yml")].map { |file| File.basename(file, ".yml") }
    )
  end

  it "tells a misspelt name by its line before a mechanism stumbles on it" do
    wrong = Verglas::Tables::Reference.new("rule of knee_lever", :knee_padd, "calf_raise.rb:1")
    allow(Verglas::Machines::Families).to receive(:references).and_return([wrong])
    allow(Verglas::Mechanisms).to receive(:admit).and_raise(ArgumentError, "stumbled")
    expect { described_class.call }.to raise_error(
      Verglas::Tables::Misspelt,
      "calf_raise.rb:1: knee_padd is no rule of knee lever: did you mean knee_pad?"
    )
  end

  it "tells the nearest number of a mechanism" do
    expect { Verglas::Mechanisms.refuse(families.first, "numbers", %i[slak_mm], %i[low_mm slack_mm]) }.to raise_error(
      ArgumentError,
      /needs numbers: slak_mm: did you mean slack_mm\?/
    )
  end

  describe "what no row can see by itself" do
    def sign(name) = Verglas::Guidance::Signs::ALL.fetch(name)

    it "refuses a sign of a family without a cause" do
      stub_const("Verglas::Guidance::Signs::ALL", { roller_climbs: sign(:roller_climbs).with(causes: []) })
      expect { described_class.look_over(Verglas::Machines::Families.fetch(:curl)) }.to raise_error(
        Verglas::Tables::Misspelt,
        /signs\.yml:\d+: roller_climbs has no cause on curl/
      )
    end

    it "refuses a family for whose purpose no muscle works" do
      stub_const("Verglas::Guidance::Regions::ALL", Verglas::Guidance::Regions::ALL.except(:calf))
      expect { described_class.look_over(Verglas::Machines::Families.fetch(:calf_raise)) }.to raise_error(
        Verglas::Tables::Misspelt,
        /regions\.yml:\d+: no muscle is meant to work for calf, the purpose of calf_raise/
      )
    end

    it "refuses a school of the order of a session in which a rank has no place" do
      orders = Verglas::Tables[:session].merge(orders: [{ name: :several_first, places: [1, 2], why: %i[a b] }])
      allow(Verglas::Tables).to receive(:[]).and_call_original
      allow(Verglas::Tables).to receive(:[]).with(:session).and_return(orders)
      expect { described_class.look_over_orders }.to raise_error(
        Verglas::Tables::Misspelt,
        /session\.yml:\d+: several_first has no place for each of 3 ranks/
      )
    end

    it "refuses a school that cannot be asked on one of its families" do
      question = Verglas::Guidance::HouseRules.fetch(:backrest).with(of: [])
      expect { described_class.try_schools(question, families) }.to raise_error(
        Verglas::Tables::Misspelt,
        /house_rules\.yml:\d+: backrest, fully_back on abduction: .*fully_back/
      )
    end

    it "refuses a caution that takes another's wishes for its own" do
      plain = Verglas::Guidance::Cautions.method(:effect)
      allow(Verglas::Guidance::Cautions).to receive(:effect) { |*given| plain.call(*given).with(wishes: { lamp: 1 }) }
      expect { described_class.try_caution(Verglas::Guidance::Cautions::RULES[:ankle], families) }.to raise_error(
        Verglas::Tables::Misspelt,
        /cautions\.yml:\d+: ankle on abduction: .*lamp/
      )
    end
  end
end
