# frozen_string_literal: true

require_relative "../../contracts/family"
require_relative "../../contracts/mechanism"

RSpec.describe Verglas::Machines::Families do
  it "has a machine here for every family, so that each is held to the contract" do
    expect(described_class.all.map(&:id)).to match_array(Worked::BY_FAMILY.keys)
    expect(Worked::BY_FAMILY.values).to all(be_any)
  end

  stations, machines = described_class.all.partition { |family| family.exercises.keys != [nil] }

  # What a machine is there for, and what is done on it beside.
  machines
    .flat_map { |whole| whole.plain_exercises.map { |exercise, family| [whole, exercise, family] } }
    .each do |whole, exercise, family|
      Worked::BY_FAMILY
        .fetch(whole.id)
        .each do |data|
          describe "#{family.id}, #{data["id"]}" do
            let(:family) { family }
            let(:machine) { Verglas::Machines::Reader.read(data, exercise: exercise) }
            let(:body) { Worked.body("middle") }

            it_behaves_like "a family"
            it_behaves_like "a mechanism"
          end
        end
    end

  stations.each do |station|
    it "reads every exercise of #{station.id}, each held to its own family's contract elsewhere" do
      data = Worked::BY_FAMILY.fetch(station.id).first
      station.exercises.each do |exercise, family|
        machine = Verglas::Machines::Reader.read(data, exercise: exercise)
        expect(machine.family).to eq(family)
        expect(station.shared(data) - machine.adjusters.map(&:label)).to be_empty
      end
    end
  end

  # A declaration that lacks one thing, or names what is not there.
  def declare(mechanism: :seated_knee, **traits, &change)
    Verglas::Machines::Declaration
      .of(
        :stub,
        mechanism: mechanism,
        traits: {
          side: 1,
          straight: {
            at: :end,
            least_bend_deg: -3
          },
          gap_graded: true,
          **traits
        }
      ) do
        extend Verglas::Machines::Families::KneeRows

        action :knee_extension
        purpose :front_of_thigh
        tags yes: %i[loads_knee turns_on_pivot sits_back],
             no: %i[loads_hip loads_back loads_calf loads_foot head_down face_down hinges hangs_from_hips hacks kneels]
        seat
        arm start: { deg: 30..150, usual: 60..115 }, finish: { deg: -60..60, usual: -20..20 }
        aims roller: :extension_roller, start: :extension_start, finish: :extension_end
        seated_offset_found
        crease_gap_found
        contact_found
        arc_found
        instance_exec(&change) if change
      end
      .family
  end

  it "loads what is whole" do
    expect { Verglas::Mechanisms.admit(declare) }.not_to raise_error
    expect { Verglas::Formats::FamilyWords.check!([described_class.fetch(:extension)]) }.not_to raise_error
  end

  {
    "an answer that is both" => [/loads_hip/, proc { tags yes: [:loads_hip], no: [:loads_hip] }],
    "the same thing twice" => [/twice/, proc { wish :start_bend_deg, default: 3 }],
    "a usual range beyond the possible one" => [
      /odd/,
      proc { constant :odd, mm: 0..10, usual: 5..20, group: :arm, tape: [] }
    ]
  }.each do |what, (said, change)|
    it "does not load #{what}" do
      expect { declare(&change) }.to raise_error(ArgumentError, said)
    end
  end

  it "does not load a family that leaves a caution's tag open, or says nothing of its action or purpose" do
    open_tag = declare.tags.except(:hacks)
    expect(Verglas::Machines::Declaration::ASKED - open_tag.keys).to eq([:hacks])
    bare = ->(&rows) { Verglas::Machines::Declaration.of(:bare, mechanism: :seated_knee, traits: {}, &rows).family }
    expect { bare.call { purpose :front_of_thigh } }.to raise_error(ArgumentError, /action/)
    expect { bare.call { action :knee_flexion } }.to raise_error(ArgumentError, /purpose/)
    expect { bare.call { (action :knee_flexion) && (purpose :front_of_thigh) } }.to raise_error(
      ArgumentError,
      /loads_knee/
    )
  end

  {
    "a decision without a rule" => [
      /rules/,
      {},
      proc { adjuster :post, drives: { start_angle: 1, back_face: 2 }, decides: :lamp, stage: :joint }
    ],
    "a finding that is not made" => [
      /findings/,
      {},
      proc { finding :kneecap_clear, graded: :lamp_mm, group: :joint, rests_on: [], set_by: [], mends: [] }
    ],
    "a body's part that is none" => [
      /parameters of a body/,
      {},
      proc do
        finding :kneecap_clear,
                graded: :offset_mm,
                group: :joint,
                rests_on: [],
                set_by: [],
                mends: [],
                by_hand: {
                  lamp: 3
                }
      end
    ]
  }.each do |what, (said, traits, change)|
    it "is not admitted by its mechanism with #{what}" do
      expect { Verglas::Mechanisms.admit(declare(**traits, &change)) }.to raise_error(ArgumentError, said)
    end
  end

  it "is not admitted without a trait that its mechanism asks for" do
    family = declare
    expect { Verglas::Mechanisms.admit(family.with(traits: family.traits.except(:gap_graded))) }.to raise_error(
      ArgumentError,
      /gap_graded/
    )
  end

  it "names every message that a family lacks" do
    lost = described_class.fetch(:extension).with(id: :lamp, purpose: :none)
    expect { Verglas::Formats::FamilyWords.check!([lost]) }.to raise_error(
      ArgumentError,
      /families\.lamp.*purposes\.none/
    )
  end
end
