# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Motion::Review do
  let(:tempo) { Verglas::Loading::Tempo.of(:slow_down) }
  let(:arm) { Verglas::Motion::Laid.new(on: :arm, from_deg: 90, upto_deg: 10, lowers_first: false) }
  let(:asked) { { low: 0.0, top: 1.0, up: 2.0, hold: 1.0, down: 3.0, pause: 0.0, first_s: nil } }

  def repetitions(*changes) = changes.map { |change| Verglas::Motion::Repetition.new(**asked, **change) }
  def review(*changes, laid: arm, tempo: self.tempo, planned: 10, **seen)
    described_class.new(repetitions(*changes), laid: laid, planned: planned, tempo: tempo, **seen)
  end
  def codes(...) = review(...).remarks.map(&:code)

  it "says nothing of a set that went as agreed, and takes its last repetition for an easy one" do
    even = review({}, {}, {}, {})
    expect([even.remarks, even.reached, even.last]).to eq([[], 1.0, :easy])
    expect(review.then { |none| [none.remarks, none.reached, none.last] }).to eq([[], nil, nil])
    expect(review({}, {}).last).to be_nil
  end

  it "takes the last for hard from where two take a quarter longer, and for not reached where it is short" do
    expect(review({}, {}, { up: 2.4 }, { up: 2.5 }).last).to eq(:easy)
    expect(review({}, {}, { up: 2.6 }, { up: 2.6 }).last).to eq(:clean)
    expect(review({}, {}, {}, { top: 0.89 }).last).to eq(:not_reached)
  end

  it "asks less of a thigh, whose share is known less well" do
    thigh = Verglas::Motion::Laid.new(on: :thigh, from_deg: 10, upto_deg: 90, lowers_first: true)
    expect([arm, thigh].map { |laid| review({}, {}, { top: 0.87 }, laid: laid).last }).to eq(%i[not_reached easy])
  end

  it "tells what goes up from what goes down where the load is lowered first" do
    thigh = Verglas::Motion::Laid.new(on: :thigh, from_deg: 10, upto_deg: 90, lowers_first: true)
    expect(codes({ up: 3.0, down: 2.0 }, laid: thigh)).to eq([])
    expect(review({ up: 1.0, down: 2.0 }, laid: thigh).remarks.first.to_h).to eq(
      code: :too_fast,
      params: {
        way: 1,
        asked: 3,
        took: 1.0
      }
    )
  end

  it "says first what is not to be trusted and what was let fall, then range, seconds and what wanes" do
    waning = [
      { down: 2.0 },
      { down: 1.0 },
      { up: 4.0, top: 0.8, low: 0.2 },
      { up: 4.0, top: 0.8, hold: 0.0, down: 1.0 }
    ]
    expect(codes(*waning, slam: true, slipped: true)).to eq(
      %i[slipped slammed short not_back too_fast too_slow shrinks slows]
    )
    expect(codes({ hold: 0.2 }, { hold: 0.0 })).to eq([:no_hold])
  end

  it "says who went past what was agreed before all that is only short, and proposes nothing then, nor of a slip" do
    thigh = Verglas::Motion::Laid.new(on: :thigh, from_deg: 10, upto_deg: 90, lowers_first: true)
    past = [{}, {}, { top: 1.1 }, {}]
    expect(review(*past).remarks.first.to_h).to eq(code: :past, params: { count: 1, of: 4, first: 3 })
    expect([review(*past).last, review({}, {}, {}, slipped: true).last]).to eq([nil, nil])
    expect(codes(*past, laid: thigh)).not_to include(:past)
  end

  it "holds a first repetition of half the range against half, and the others alone against the whole" do
    half = ->(*changes) { review(*changes, first_share: 0.5) }
    as_agreed = half[{ top: 0.5, up: 0.9, down: 1.2 }, {}, {}, { top: 0.8 }]
    expect(as_agreed.remarks.map(&:to_h)).to eq([{ code: :short, params: { count: 1, of: 3, first: 4 } }])
    expect(as_agreed.repetitions.map { |one| as_agreed.whole?(one) }).to eq([true, true, true, false])
    expect([as_agreed.reached, as_agreed.last, half[{ top: 0.5 }].last]).to eq([1.0, :not_reached, nil])
    expect(half[{ top: 0.58 }, {}].remarks).to eq([])
    expect(half[{ top: 0.59 }, {}].then { |past| past.whole?(past.repetitions.first) }).to be(false)
    expect(half[{ top: 0.59 }, {}].remarks.first.to_h).to eq(code: :first_past, params: { asked: 50, took: 59 })
  end

  it "tells where the load is borne in the still seconds: not where it rests on its stop" do
    laid = ->(on, first) { Verglas::Motion::Laid.new(on: on, from_deg: 0, upto_deg: 50, lowers_first: first) }
    expect(
      [laid[:arm, false], laid[:thigh, false], laid[:thigh, true], laid[:chest, true], laid[:foot, false]].map(&:borne?)
    ).to eq([false, false, true, true, true])
  end

  it "hears first degrees that were to be slow and were not" do
    slow = Verglas::Loading::Tempo.of(:slow_start)
    as_asked = { up: 2.0, hold: 0.0, down: 2.0, first_s: 0.9 }
    expect(codes(as_asked, tempo: slow)).to eq([])
    expect(codes(as_asked.merge(first_s: 0.4), tempo: slow)).to eq([:rushed])
  end
end
