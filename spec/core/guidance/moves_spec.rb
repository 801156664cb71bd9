# frozen_string_literal: true

RSpec.describe Verglas::Guidance::Moves do
  def family(id) = Verglas::Machines::Families.fetch(id)
  def list(*names) = names.map { |name| { "move" => name, "who" => "client", "frees" => false } }
  def read(id, **ways) = described_class.read(ways.transform_keys(&:to_s), [family(id)])

  def refused(id, **ways)
    read(id, **ways)
    nil
  rescue Verglas::Invalid => e
    [e.code, e.path, e.params[:move].to_s]
  end

  it "has some for every family both ways, each in words, in an order that is possible as it stands in the table" do
    (Verglas::Machines::Families.single - [family(:floor_hinge)]).each do |one|
      %i[in out].each do |way|
        moves = described_class.of(one, way)
        expect(moves.size).to be >= 2, "#{one.id} #{way}"
        data = { way.to_s => list(*moves.map { |move| move.name.to_s }) }
        expect { described_class.read(data, [one]) }.not_to raise_error
      end
    end
    unsaid = described_class::ALL.keys.reject { |name| Verglas::Formats::Words.maybe("moves.#{name}") }
    expect(unsaid).to eq([])
  end

  it "keeps the order that was given, with who does it" do
    kept = read(:curl, in: [*list("sits_back"), { "move" => "thigh_pad_down", "who" => "client", "frees" => false }])
    expect(kept[:in].map { |one| [one.move.name, one.who] }).to eq([%i[sits_back client], %i[thigh_pad_down client]])
  end

  it "refuses a pin that is drawn before its pad is lifted, and legs out under a load" do
    expect(refused(:curl, out: list("load_at_rest", "thigh_pin_out", "thigh_pad_lifted"))).to eq(
      [:move_too_early, "/moves/out/1", "thigh_pin_out"]
    )
    expect(refused(:curl, out: list("legs_out", "stands_up"))).to eq([:move_still_loaded, "/moves/out/0", "legs_out"])
    expect(refused(:press_sled, out: list("feet_off", "sinks_on_catch"))).to eq(
      [:move_too_early, "/moves/out/0", "feet_off"]
    )
  end

  it "refuses what is not done there, what comes twice, and a pad that frees itself" do
    expect(refused(:press_sled, in: list("thigh_pad_up"))).to eq([:unknown_move, "/moves/in/0", "thigh_pad_up"])
    expect(refused(:curl, in: list("sits_back", "sits_back"))).to eq([:move_twice, "/moves/in/1", "sits_back"])
    freed = [{ "move" => "sits_back", "who" => "client", "frees" => true }]
    expect(refused(:curl, in: freed)).to eq([:frees_no_catch, "/moves/in/0", "sits_back"])
    expect(refused(:press_sled, in: [{ "move" => "catch_swung_out", "who" => "client", "frees" => true }])).to be_nil
  end

  it "says what the next one finds, unless it was undone" do
    found = described_class.left(read(:belt_squat, in: list("handles_flipped", "steps_up"), out: list("handles_back")))
    expect(found).to eq([])
    left = read(:belt_squat, in: list("handles_flipped"), out: list("sinks_until_slack", "unhooks"))
    expect(described_class.left(left)).to eq(%i[handles_flipped hook_hangs])
  end

  it "finds every impossible order, whatever the shuffle" do
    random = Random.new(5)
    moves = described_class.of(family(:press_sled), :out)
    60.times do
      order = moves.shuffle(random: random)
      possible =
        order.each_with_index.all? do |move, index|
          earlier = order.take(index)
          !move.after.intersect?(order.drop(index + 1).map(&:name)) && (!move.loaded || earlier.any?(&:unloads))
        end
      refusal = refused(:press_sled, out: list(*order.map { |move| move.name.to_s }))
      expect(refusal.nil?).to eq(possible), order.map(&:name).join(" ")
    end
  end
end
