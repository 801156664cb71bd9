# frozen_string_literal: true

# A declaration that names what is not there does not load: the line of the declaration, and the nearest name.
RSpec.describe Verglas::Machines::Declaration do
  # A small family with one change.
  def declare(&change)
    described_class.of(:stub, mechanism: :knee_lever, traits: {}) do
      action :calf
      purpose :calf
      tags yes: %i[loads_calf loads_foot], no: Verglas::Machines::Declaration::ASKED - %i[loads_calf loads_foot]
      joint :heel_drop, free: %i[bottom top]
      constant :pad_above_block, mm: 200..900, usual: 400..560, group: :joint, tape: %i[block pad_under]
      instance_exec(&change) if change
    end
  end

  # What stands in it is looked for when the register closes.
  def close(&)
    declaration = declare(&)
    known = known(declaration.family)
    declaration.references.each { |reference| reference.check(known) }
  end

  def known(family)
    {
      "group of stub" => family.groups.keys,
      "constant of stub" => family.constants.keys,
      "kind of adjuster of stub" => family.kinds.keys,
      "finding of stub" => family.findings.keys,
      "decision or step of stub" => [*family.decisions, :secure],
      "rule of knee_lever" => Verglas::Mechanisms::KneeLever::RULES.keys,
      :stage => Verglas::Guidance::Flow::STAGES,
      :joint => %i[knee],
      :body_parameter => %i[thigh]
    }
  end

  pad = { drives: { pad_above_block: 1 }, decides: :knee_pad, stage: :near }
  found = { graded: :slack_mm, group: :joint, rests_on: %i[pad_above_block], set_by: %i[secure], mends: [nil, nil] }

  it "takes what is whole" do
    expect { close { adjuster :pad, **pad } }.not_to raise_error
  end

  {
    "an adjuster's stage" => [/naer is no stage: did you mean near\?/, proc { adjuster :pad, **pad, stage: :naer }],
    "an adjuster's unit" => [
      /degr is no unit of an adjuster: did you mean deg\?/,
      proc { adjuster :pad, **pad, unit: :degr }
    ],
    "an adjuster's rule" => [
      /knee_pda is no rule of knee lever: did you mean knee_pad\?/,
      proc { adjuster :pad, **pad, decides: :knee_pda }
    ],
    "what an adjuster moves" => [
      /pad_above is no constant of stub: did you mean pad_above_block\?/,
      proc { adjuster :pad, **pad, drives: { pad_above: 1 } }
    ],
    "an adjuster beside it" => [
      /pda is no kind of adjuster of stub: did you mean pad\?/,
      proc { adjuster :pad, **pad, beside: { pda: :knee_pad } }
    ],
    "what sets a finding" => [
      /secured is no decision or step of stub: did you mean secure\?/,
      proc { finding :pad_slack, **found, set_by: %i[secured] }
    ],
    "what a finding rests on" => [
      /pad_above is no constant of stub/,
      proc { finding :pad_slack, **found, rests_on: %i[pad_above] }
    ],
    "a finding's group" => [
      /joynt is no group of stub: did you mean joint\?/,
      proc { finding :pad_slack, **found, group: :joynt }
    ],
    "a finding's band" => [/pad_slak is no band: did you mean pad_slack\?/, proc { finding :pad_slak, **found }],
    "a joint that is guarded" => [
      /nee is no joint: did you mean knee\?/,
      proc { finding :pad_slack, **found, guarded: { lamp: :nee } }
    ],
    "a body's part" => [
      /thighh is no body parameter: did you mean thigh\?/,
      proc { finding :pad_slack, **found, by_hand: { thighh: 3 } }
    ],
    "the stricter of two" => [
      /mni is no stricter of two: did you mean min\?/,
      proc { wish :odd_deg, stricter: :mni, default: 3 }
    ],
    "as what a wish is measured" => [
      /ancle is no limit: did you mean ankle\?/,
      proc { wish :odd_deg, measured_as: :ancle }
    ],
    "a wish's own column" => [
      /defualt is no column of a wish: did you mean default\?/,
      proc { wish :odd_deg, defualt: 3 }
    ],
    "an angle taped between two points" => [
      /2 is no number of points between which deg are taped: did you mean 3\?/,
      proc { constant :odd, deg: 0..9, usual: 1..2, group: :joint, tape: %i[block pad_under] }
    ],
    "a constant's unit" => [
      /cm is no unit of a constant: did you mean mm\?/,
      proc { constant :odd, cm: 0..9, usual: 1..2, group: :joint }
    ],
    "a constant's group" => [
      /joynt is no group: did you mean joint\?/,
      proc { constant :odd, mm: 0..9, usual: 1..2, group: :joynt }
    ],
    "how a choice is made" => [
      /plaecd is no way to choose: did you mean placed\?/,
      proc { choice :odd_mm, how: :plaecd }
    ],
    "a choice's stage" => [
      /naer is no stage: did you mean near\?/,
      proc { choice :odd_mm, how: :placed, stage: :naer }
    ],
    "what a choice mends" => [
      /pad_slak is no finding of stub/,
      proc { choice :odd_mm, how: :placed, mends: :pad_slak }
    ],
    "adjusters that drive the same" => [
      /lowered drives what knee_pad drives/,
      proc do
        adjuster :knee_pad, **pad
        adjuster :lowered, **pad, drives: { pad_above_block: -1 }
      end
    ],
    "a motion" => [/heel_dorp is no motion: did you mean heel_drop\?/, proc { joint :heel_dorp }],
    "a tag" => [/loads_nee is no tag: did you mean loads_knee\?/, proc { tags yes: %i[loads_nee] }],
    "an action" => [/calve is no action: did you mean calf\?/, proc { action :calve }]
  }.each do |what, (complaint, change)|
    it "refuses a slip in #{what}, at its line" do
      expect { close(&change) }.to raise_error(Verglas::Tables::Misspelt, /declaration_spec\.rb:\d+: .*#{complaint}/)
    end
  end

  it "answers a caution's tags in each family's own file, and in no rows that several share" do
    rows = Dir[File.join(Verglas::ROOT, "core/machines/families/*_rows.rb")]
    expect(rows).not_to be_empty
    rows.each do |file|
      expect(File.read(file)).not_to match(/^\s*tags\b|:(#{described_class::ASKED.join("|")})\b/), file
    end
    Verglas::Machines::Families.single.each do |family|
      file = File.read(File.join(Verglas::ROOT, "core/machines/families/#{family.id}.rb"))
      expect(described_class::ASKED.map(&:to_s) - file.scan(/\w+/)).to be_empty, family.id.to_s
    end
  end
end
