# frozen_string_literal: true

require "spec_helper"
require_relative "../../support/worked"

# Practising on somebody who is made up, on a machine of each family.
RSpec.describe Verglas::Practice do
  levels = Verglas::Practice::MadeUp::LEVELS.keys

  def machine_of(described)
    exercise = described["exercises"]&.keys&.first
    Verglas::Machines::Reader.read(described, **(exercise ? { exercise: exercise } : {}))
  end

  def made_up(machine, seed, level: :usual) = described_class::MadeUp.draw(machine, seed: seed, level: level)
  def verdict(made_up, *actions) = described_class::Verdict.new(described_class::Play.new(made_up, actions))
  let(:extension) { machine_of(Worked::BY_FAMILY[:extension].first) }

  Worked::BY_FAMILY.each do |family, (described)|
    it "gives full marks to whoever plays as the core does, and fails whoever leaves marks that are bad: #{family}" do
      machine = machine_of(described)
      levels.each_with_index do |level, seed|
        drawn = made_up(machine, seed, level: level)
        best = described_class::Verdict.new(described_class::CorePlay.of(drawn))
        expect([seed, best.total, best.caution]).to eq([seed, 100, nil])
        next if drawn.barring

        still = verdict(drawn, { "do" => "ask" }, { "do" => "watch", "named" => [] }, { "do" => "accept" })
        theirs, ours = still.severities
        expect(still).not_to be_passed if theirs - ours > described_class::Verdict::FIGURES[:severity]
      end
    end
  end

  it "is the same client for the same seed, whoever looks and however often, and another for another" do
    one, same, other = [7, 7, 8].map { |seed| made_up(extension, seed) }
    looked = ->(drawn) do
      play = described_class::Play.new(drawn, [{ "do" => "take", "observation" => "stature" }])
      [drawn.reading_mm(:stature), drawn.watched(play.reading.knowledge, drawn.start)]
    end
    expect(looked.call(one)).to eq(looked.call(same))
    expect(one.body).to eq(same.body)
    expect(one.body).not_to eq(other.body)
  end

  def barred = (0..60).lazy.map { |seed| made_up(extension, seed, level: :hard) }.find(&:barring)
  def open = (0..60).lazy.map { |seed| made_up(extension, seed, level: :plain) }.find { |drawn| !drawn.barring }

  it "tells whoever lets somebody on whom a caution bars, and takes all marks for it" do
    accepted = verdict(barred, { "do" => "accept" })
    expect([accepted.caution, accepted.total, accepted.passed?]).to eq([:barred_accepted, 0, false])
    refused = verdict(barred, { "do" => "ask" }, { "do" => "refuse" })
    expect([refused.caution, refused.total]).to eq([nil, 100])
    blindly = verdict(barred, { "do" => "refuse" })
    expect([blindly.caution, blindly.total]).to eq([:not_asked, 0])
    wrongly = verdict(open, { "do" => "ask" }, { "do" => "refuse" })
    expect([wrongly.caution, wrongly.total]).to eq([:refused_wrongly, 0])
  end

  it "takes off for not asking, for moves too many, for signs that were not named and readings that were not taken" do
    actions = described_class::CorePlay.of(open).actions
    expect(verdict(open, *actions.reject { |one| one["do"] == "ask" }).total).to eq(80)
    unread = verdict(open, *actions.reject { |one| one["do"] == "take" })
    expect(unread.parts[:readings]).to be < 1
    back = [
      { "do" => "set", "marks" => extension.marks(open.start) },
      actions.reverse.find { |one| one["do"] == "set" }
    ]
    wandering = verdict(open, *actions[..-2], *back, *back, actions.last)
    expect(wandering.parts[:moves]).to be < 1
    expect(wandering.parts[:fit]).to eq(1.0)
    seen =
      (0..20)
        .lazy
        .map { |seed| made_up(extension, seed, level: :plain) }
        .find { |drawn| described_class::Play.new(drawn, [{ "do" => "watch", "named" => [] }]).looks.first.seen.any? }
    expect(
      verdict(seen, { "do" => "ask" }, { "do" => "watch", "named" => [] }, { "do" => "accept" }).parts[:signs]
    ).to eq(0)
  end

  it "refuses what cannot be done: unknown signs, causes, cues, marks and levels" do
    [
      { "do" => "watch", "named" => ["sings"] },
      { "do" => "cause", "sign" => "roller_climbs", "cause" => "weather" },
      { "do" => "cue", "cue" => "jump" },
      { "do" => "set", "marks" => { "nothing" => "1" } },
      { "do" => "take", "observation" => "wingspan" }
    ].each { |action| expect { verdict(open, action).play }.to raise_error(Verglas::Invalid) }
    expect { made_up(extension, 1, level: :easy) }.to raise_error(Verglas::Invalid)
  end
end
