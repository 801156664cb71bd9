# frozen_string_literal: true

require "spec_helper"
require_relative "../../support/sets_lifted"

RSpec.describe Verglas::Motion::Reading do
  let(:done) do
    [[0.0, 1.0], [0.0, 0.7], [0.2, 0.9]].map do |low, top|
      SetsLifted::Arm::Done.new(low: low, top: top, up: 1.0, hold: 1.0, down: 2.0, pause: 0.5, slam: false)
    end
  end

  def arm(done, **sensed) = SetsLifted::Arm.new(done, start: 90, finish: 10, seed: 5, **sensed)
  def read(samples, start: 90, finish: 10)
    described_class.new(Verglas::Motion::Samples.read(samples), start_deg: start, end_deg: finish)
  end

  it "counts, and reads range and seconds, as nearly as is asked of it" do
    sets = SetsLifted.new(60)
    expect(sets.counted).to be >= 97
    expect([sets.tops, sets.lows]).to all(be >= 95)
    expect([sets.ways, sets.holds, sets.pauses]).to all(be >= 93)
    expect(sets.slams).to be >= 90
  end

  it "does so with noise, an error of the rate, spikes and gaps" do
    sets = SetsLifted.new(40, noise: 2.0, bias: 3.0, spikes: 0.5, gaps: 0.4)
    expect(sets.counted).to be >= 97
    expect([sets.tops, sets.lows]).to all(be >= 95)
    expect([sets.ways, sets.holds, sets.pauses]).to all(be >= 93)
  end

  it "tells each repetition by its own range, the pause after all but the last, and which did not come back" do
    read = read(arm(done).samples).repetitions
    expect(read.map { |one| one.range.round(1) }).to eq([1.0, 0.7, 0.7])
    expect(read.map(&:came_back?)).to eq([true, true, false])
    expect(read.map { |one| one.pause&.round(1) }).to match([be_within(0.2).of(0.5), be_within(0.2).of(0.5), nil])
  end

  it "reads the same however the phone lies, and whichever way the arm is counted" do
    tops = ->(read) { read.repetitions.map { |one| one.top.round(1) } }
    expect(tops.call(read(arm(done, lies: true).samples))).to eq([1.0, 0.7, 0.9])
    back = arm(done).samples.map { |at, along, across, turn| [at, along, -across, -turn] }
    expect(tops.call(read(back))).to eq([1.0, 0.7, 0.9])
    expect(tops.call(read(arm(done).samples, start: 10, finish: 90))).to eq([1.0, 0.7, 0.9])
  end

  it "reads the same whether a browser names the rates about x, y, z or about z, x, y" do
    SetsLifted::ARCS.each_with_index do |(start, finish), index|
      phone = SetsLifted::Arm.new(done, start: start, finish: finish, seed: 20 + index, lies: true).samples
      other = phone.map { |at, x, y, z, about_x, about_y, about_z| [at, x, y, z, about_z, about_x, about_y] }
      tops =
        [phone, other].map do |sent|
          read(sent, start: start, finish: finish).repetitions.map { |one| one.top.round(1) }
        end
      expect(tops).to eq([[1.0, 0.7, 0.9]] * 2)
    end
  end

  it "counts a sample that was sent again once, in whichever order they came" do
    samples = arm(done).samples
    again = [*samples, *samples.first(500)].shuffle(random: Random.new(1))
    expect(read(again).repetitions).to eq(read(samples).repetitions)
  end

  it "counts no repetition that is not back yet, and none that hardly moves" do
    samples = arm(done).samples
    top = samples.index { |sample| sample.first > 3.5 }
    expect(read(samples.first(top)).repetitions).to be_empty
    small = [SetsLifted::Arm::Done.new(low: 0.0, top: 0.12, up: 1.0, hold: 0.5, down: 1.0, pause: 0.5, slam: false)]
    expect(read(arm(small).samples).repetitions).to be_empty
  end

  it "hears the weight fall onto the stop, and takes no single spike for it" do
    fallen = done.first.dup
    fallen.down = 0.6
    fallen.slam = true
    expect(read(arm([fallen]).samples)).to be_slam
    whole = arm(done.first(2)).samples
    expect(read(whole)).not_to be_slam
    back = whole.index { |sample| sample.first > 6.0 }
    spiked = whole.each_with_index.map { |(at, *sent), index| index == back ? [at, 60.0, 0.0, sent.last] : [at, *sent] }
    expect(read(spiked)).not_to be_slam
  end

  it "notices a phone that slips further along, and counts and times as well as ever; says so of none that stays" do
    sets = SetsLifted.new(60, slipping: true)
    expect(sets.noticed).to be >= 97
    expect(sets.counted).to be >= 97
    expect([sets.ways, sets.holds, sets.pauses]).to all(be >= 93)
    expect([sets.tops, sets.lows]).to all(be >= 95)
    expect(SetsLifted.new(40).noticed).to eq(0)
  end

  it "notices a phone that turns out of the plane in which the arm moves" do
    lying = arm(done, lies: true).samples
    turned =
      lying.map { |at, x, y, z, *rates| at < 6 ? [at, x, y, z, *rates] : [at, *twisted([x, y, z]), *twisted(rates)] }
    expect([read(lying), read(turned)].map(&:slipped?)).to eq([false, true])
  end

  # By a third of a right angle about the phone's own x.
  def twisted((along, across, up))
    cos = Math.cos(Math::PI / 6)
    sin = Math.sin(Math::PI / 6)
    [along, (cos * across) - (sin * up), (sin * across) + (cos * up)]
  end

  it "tells how long the part took that was to be slow, and nothing of one that did not get so far" do
    read =
      described_class.new(Verglas::Motion::Samples.read(arm(done).samples), start_deg: 90, end_deg: 10, slow_share: 0.6)
    expect(read.repetitions.map(&:first_s)).to match(
      [be_within(0.2).of(0.6), be_within(0.2).of(0.9), be_within(0.2).of(0.9)]
    )
  end

  it "keeps a curve of few points that goes where the arm went" do
    read = read(arm(Array.new(20) { done.first }).samples)
    curve = read.curve
    expect(curve.shares.size).to be <= 600
    read
      .times
      .zip(read.shares)
      .each_slice(50) do |(at, share), *|
        expect(curve.shares[((at - read.times.first) / curve.step_s).round]).to be_within(0.1).of(share)
      end
  end

  it "refuses no arc, too little to read, and samples of several kinds" do
    samples = arm(done).samples
    expect { read(samples, finish: 90) }.to raise_error(Verglas::Invalid) { |e| expect(e.code).to eq(:no_arc) }
    expect { read(samples.first(40)) }.to raise_error(Verglas::Invalid) { |e| expect(e.code).to eq(:too_short) }
    [[90.0, 1, 2, 3, 4, 5, 6], [90.0, 1, nil, 3], [90.0, 1, Float::NAN, 3], [90.0, 1, 2], "90"].each do |wrong|
      expect { read([*samples, wrong]) }.to raise_error(Verglas::Invalid) { |e|
        expect([e.code, e.path]).to eq([:ragged, "/samples/#{samples.size}"])
      }
    end
  end
end
