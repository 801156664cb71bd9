# frozen_string_literal: true

RSpec.describe Verglas::Guidance::Readiness do
  def rungs
    [60, 90, 110, 120, 140].map do |nm|
      Verglas::Mechanisms::Rung.new(wishes: {}, deg: nil, held_kg: 0, band_n: 0, top_nm: nm.to_f)
    end
  end
  def visit(top_nm, clean: true) = described_class::Visit.new(top_nm: top_nm.to_f, clean: clean)
  def ready(*visits, **given) = described_class.new(rungs, visits, **given)
  def seen(ready) = [ready.today.top_nm, ready.onward&.top_nm, ready.reason]

  it "begins at the easiest where nothing was shown, and where only easier ones were" do
    expect(seen(ready)).to eq([60, 90, :nothing_shown])
    expect(seen(ready(visit(40)))).to eq([60, 90, :easier_shown])
  end

  it "stays for a second clean visit, then opens the next" do
    expect(seen(ready(visit(60)))).to eq([60, 90, :once_more])
    expect(seen(ready(visit(60), visit(61)))).to eq([90, 110, :opened])
    expect(seen(ready(visit(90), visit(60), visit(60)))).to eq([90, 110, :once_more])
  end

  it "goes one rung back from one that was not clean, whatever was before" do
    expect(seen(ready(visit(110, clean: false), visit(110), visit(110)))).to eq([90, 110, :not_clean])
    expect(seen(ready(visit(60, clean: false)))).to eq([60, 90, :not_clean])
  end

  it "ends at the hardest there is" do
    expect(seen(ready(visit(150), visit(140)))).to eq([140, nil, :stays])
  end

  it "keeps to the easiest where a caution asks for it, and never says to go on" do
    kept = ready(*Array.new(8) { visit(140) }, none_harder: true)
    expect([seen(kept), kept.kept_long?]).to eq([[60, nil, :cautioned], false])
  end

  it "does not let a beginner's rung be kept for ever" do
    expect([5, 6].map { |count| ready(*Array.new(count) { visit(60) }).kept_long? }).to eq([false, true])
  end
end
