# frozen_string_literal: true

require "web_helper"

# What a caution does on all machines is said by the columns of its row: each that is filled says something, and nothing
# is said of one that is empty.
RSpec.describe Verglas::Application::Told::CautionRow do
  rules = Verglas::Guidance::Cautions::RULES
  columns = %i[
    bars
    envelope
    until_measured
    less
    wishes
    uncleared_wishes
    schools
    without
    belt
    belt_uncleared
    light_share
    half_first
    no_holds
    no_timed
    under_belt_load
    in_hand
    rest_s
    as_cleared
    told
    stop
  ]
  table =
    Verglas::Tables.source(:cautions, "{ joints: [], cautions: [{ name: odd, source: a row that does nothing }] }")
  empty = Verglas::Guidance::CautionRule.of(Verglas::Tables.read(:cautions, table)[:cautions].first)
  degrees = Verglas::Body::Envelope.new({ knee_flexion: [20, nil], hip_flexion: [nil, 70], hip_abduction: [nil, 20] })
  # Said by the row whose effects come with this one.
  beside = { without: [:heart] }

  def sentences(name, **given)
    described_class.new(Verglas::Guidance::Cautions::Caution.of(name, **given)).says.split(/(?<=\.)\s/)
  end

  # Before a clinician's word, after it, and with all that can be allowed.
  define_method(:states) do |name|
    named = Verglas::Machines::Families.single.map(&:id)
    [
      {},
      { cleared: true },
      { cleared: true, degrees: degrees, named: named },
      { cleared: true, degrees: degrees, named: named, joint: :knee }
    ].map { |given| sentences(name, **given) }
  end

  define_method(:told_by) do |name, column|
    whole = states(name)
    stub_const(
      "Verglas::Guidance::Cautions::RULES",
      { **rules, name => rules[name].with(column => empty[column]) }.freeze
    )
    whole.zip(states(name)).map { |all, less| all - less }
  end

  rules.each_value do |rule|
    columns
      .reject { |column| rule[column] == empty[column] || beside.fetch(column, []).include?(rule.name) }
      .each do |column|
        it "says what #{column} of #{rule.name} does" do
          expect(told_by(rule.name, column).flatten).not_to be_empty
        end
      end
  end

  it "says nothing where the row does nothing" do
    stub_const(
      "Verglas::Guidance::Cautions::RULES",
      { **rules, back: rules[:back].with(**columns.to_h { |column| [column, empty[column]] }) }.freeze
    )
    expect(sentences(:back)).to eq(["Cleared by a clinician."])
  end

  it "says of whom no machine is left nothing of how one works" do
    expect(
      %i[heart birth surgery hip_replacement not_asked].flat_map { |name| sentences(name) }.grep_v(/\ANo machine until/)
    ).to be_empty
  end

  it "says a clinician's degrees in the place of the row's, and which exercises they are of" do
    given = { cleared: true, degrees: Verglas::Body::Envelope.new({ knee_flexion: [20, 70] }) }
    expect(sentences(:knee_ligament, **given)).to include(
      "On squats, extensions, curls, presses and calf work on a press: knee between 20° and 70° of bend."
    )
    expect(sentences(:knee_ligament, cleared: true)).to all(match(/\AN/))
  end

  it "says which joint is hot, and that nobody has said which" do
    expect(sentences(:hot_joint, joint: :knee)).to eq(
      ["Nothing that loads this joint (knee) until a clinician has cleared it."]
    )
    expect(sentences(:hot_joint).join).to include("no machine at all where nobody said which")
  end

  describe "beside the client's other cautions" do
    cautions = ->(names, **given) { names.map { |name| Verglas::Guidance::Cautions::Caution.of(name, **given) } }
    told = ->(given) { given.map { |one| described_class.new(one, among: given).says } }

    it "never asks for a belt that another forbids, whichever two there are" do
      [{}, { cleared: true }].each do |given|
        rules
          .keys
          .combination(2) do |names|
            expect(told[cautions[names, **given]].join).not_to match(
              /Wear the belt.*No lap belt|No lap belt.*Wear the belt/m
            ),
            names.inspect
          end
      end
    end

    it "says no figure that another makes stricter" do
      knee, loose = told[cautions[%i[knee loose_joints], cleared: true]]
      expect([knee, loose]).to match([/between 10° and 80°/, /thighs 30° apart at most/])
      hip, loose = told[cautions[%i[hip_pain loose_joints], cleared: true]]
      expect([hip, loose]).to match([/thighs 25° apart at most/, satisfy { |text| !text.include?("30°") }])
    end

    it "says that nothing is left of one which others cover, and what the gym itself bars" do
      expect(told[cautions[%i[eye_pressure head_down]]].first).not_to eq("Cleared by a clinician.")
      back = cautions[[:back]].first
      expect(described_class.new(back, stricter: true).says).to eq(
        "No machine at this gym until a clinician has cleared it."
      )
      expect(described_class.new(back.with(cleared: true), stricter: true).says).to start_with("On hinge benches")
    end
  end
end
