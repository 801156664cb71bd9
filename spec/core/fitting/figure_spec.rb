# frozen_string_literal: true

RSpec.describe Verglas::Fitting::Figure do
  let(:machine) { Worked.machine("slide_seat") }
  let(:evaluation) do
    Verglas::Fitting::Evaluation.new(machine: machine, estimate: Worked.exact("long_legged"), wishes: Worked.wishes(machine), indices: [2, 3, 1])
  end
  let(:figure) { described_class.of(evaluation) }

  def distance(one, other) = Math.hypot(one[:s] - other[:s], one[:n] - other[:n])

  it "keeps every length of the body and the machine in every pose" do
    figure[:poses].each_value do |pose|
      expect(distance(figure[:hip], pose[:knee])).to be_within(1e-6).of(452.0)
      expect(distance(pose[:knee], pose[:ankle])).to be_within(1e-6).of(440.0)
      expect(Math.hypot(*pose[:roller].values)).to be_within(1e-6).of(evaluation.parameters[:roller_reach])
      expect(distance(pose[:contact], pose[:roller])).to be_within(1e-6).of(evaluation.quantities[:clearance_mm])
    end
  end

  it "puts the knee where the numbers say" do
    expect(figure[:poses][:start][:knee]).to eq({ s: evaluation.quantities[:knee_s_mm], n: evaluation.quantities[:knee_n_mm] })
  end

  it "sits the client against the back pad and on the seat" do
    expect(figure[:hip][:s] - figure[:machine][:back_face]).to be_within(1e-9).of(118.0)
    expect(figure[:hip][:n] + figure[:machine][:pivot_above_seat]).to be_within(1e-9).of(88.4)
  end

  it "lays a client on the bench as the pad under the hips bends them" do
    bench = Worked.machine("lie_flat")
    lying = Verglas::Fitting::Evaluation.new(machine: bench, estimate: Worked.exact("tall"), wishes: Worked.wishes(bench, hip_pad_mm: 60.0), indices: [4])
    drawn = described_class.of(lying)
    expect(drawn[:up]).to eq(-1)
    expect(distance(drawn[:hip], drawn[:poses][:start][:knee])).to be_within(1e-6).of(477.8)
    # n points down: the hips lie the pad's thickness higher than the knee.
    expect(drawn[:poses][:start][:knee][:n] - drawn[:hip][:n]).to be_within(1e-6).of(60.0)
  end

  it "draws nothing of an arm that nobody has taped" do
    data = Worked::MACHINES["curl_plain"].merge("constants" => Worked::MACHINES["curl_plain"]["constants"].merge("roller_reach" => nil))
    half = Verglas::Machines::Reader.read_known(data)
    evaluation = Verglas::Fitting::Evaluation.new(machine: half, estimate: Worked.exact("middle"), wishes: Worked.wishes(half), indices: [3, 0, 4])
    expect(described_class.of(evaluation)).to be_nil
    expect(evaluation.findings.map(&:code)).to eq(%i[offset crease_gap kneecap_gap thigh_press])
  end
end
