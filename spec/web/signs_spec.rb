# frozen_string_literal: true

require "web_helper"

RSpec.describe "Signs over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let(:person) { matteus(loft, account) }
  let(:id) { call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"] }
  let(:marks) { { "back pad" => "2", "roller" => "D", "start" => "3" } }

  before { sign_in }

  def explained(*signs, at: marks) = call(:post, "/api/fittings/#{id}/signs", { marks: at, signs: signs })["signs"]

  it "turns a sign into the notch to move, with what it would do, as the evaluation there says it" do
    cause = explained("roller_climbs").first["causes"].first
    expect(cause).to include(
      "name" => "knee_ahead",
      "title" => "Knee ahead of the pivot",
      "standing" => "shown",
      "move" => {
        "adjuster" => "back pad",
        "mark" => "3"
      }
    )
    moved = call(:post, "/api/fittings/#{id}/evaluation", { marks: marks.merge("back pad" => "3") })
    says = moved["findings"].find { |finding| finding["code"] == "offset" }["says"]
    expect(cause["says"]).to eq("Back pad to 3: #{says.sub("Knee", "knee")}")
  end

  it "says what to do where no notch is the answer, and what the numbers deny" do
    climbs, squint = explained("roller_slides", "one_side_works_harder")
    expect(climbs["causes"].find { |cause| cause["name"] == "knee_behind" }["standing"]).to eq("denied")
    expect(squint["causes"].map { |cause| cause.slice("standing", "move") }.uniq).to eq(
      [{ "standing" => "open", "move" => nil }]
    )
    expect(squint["causes"].first["says"]).to start_with("Hips square")
  end

  it "has the client slide on a bench, where nothing on the machine moves the knee" do
    bench = machine(loft, "lie_flat", name: "Lying curl 1")
    fitting = call(:post, "/api/fittings", { client_id: person[:id], machine_id: bench[:id] })["id"]
    causes =
      call(:post, "/api/fittings/#{fitting}/signs", { marks: first_marks(bench), signs: %w[roller_climbs hips_rise] })[
        "signs"
      ]
    past = causes.first["causes"].find { |cause| cause["name"] == "lies_past" }
    expect(past).to include(
      "title" => "Knee past the pivot",
      "move" => nil,
      "says" => "Slide up the bench a little, until the knee meets the pivot."
    )
    expect(causes.last["causes"].map { |cause| cause["name"] }).to eq(%w[load_high no_hip_pad])
  end

  it "counts the cushions in use: with one that brings the knee forward it is less far behind" do
    far_back = marks.merge("back pad" => "5")
    plain = explained("roller_slides", at: far_back).first["causes"].first
    cushioned =
      call(
        :post,
        "/api/fittings/#{id}/signs",
        { marks: far_back, aids: { cushion_back_mm: 40, cushion_seat_mm: 0, hip_pad_mm: 0 }, signs: ["roller_slides"] }
      )
    behind = cushioned["signs"].first["causes"].find { |cause| cause["name"] == "knee_behind" }
    expect([plain["name"], plain["standing"]]).to eq(%w[knee_behind shown])
    expect(behind["standing"]).to eq("denied")
  end

  it "writes nothing: the fitting stands as it stood" do
    before = call(:get, "/api/fittings/#{id}").slice("marks", "signs", "version", "updated_at")
    explained("roller_climbs", "gap_behind_knee")
    expect(call(:get, "/api/fittings/#{id}").slice("marks", "signs", "version", "updated_at")).to eq(before)
  end

  it "claims no number on a machine that is not taped" do
    bare = {
      constants: {
      },
      adjusters: here[:adjusters].map { |adjuster| adjuster.merge("travel" => nil) },
      exercises: {
      },
      taped: {
      }
    }
    loft.machines.update(here[:id], version: 1, by: account, description: bare)
    expect(explained("roller_climbs").first["causes"].map { |cause| cause.values_at("standing", "move") }).to eq(
      [["open", nil], ["open", nil]]
    )
  end

  describe "as readings" do
    def said(**sheet) = call(:post, "/api/fittings/#{id}/signs", { marks: marks, signs: [], **sheet })["next"]
    def watched(*seen, at: marks) = { marks: at, seen: seen }

    it "say nothing where nothing was watched, or only what is no reading" do
      expect(said).to be_nil
      expect(said(signs: ["one_side_works_harder"])).to be_nil
    end

    it "offer one move, with what it does and how sure" do
      told = said(signs: ["roller_climbs"])
      expect(told["sign"]).to eq("roller_climbs")
      expect(told["move"]).to eq({ "adjuster" => "back pad", "mark" => "4" })
      expect(told["says"]).to match(/\ABack pad to 4: knee \d+ mm/)
      expect(told["then"]).to be > told["now"] + 0.3
      expect(told["sure"]).to start_with("In line then:")
    end

    it "are counted where they were seen, and not again after a move of which nobody said what came" do
      tried = [{ sign: "roller_climbs", adjuster: "back pad", from: "2", to: "4", outcome: nil }]
      moved = marks.merge("back pad" => "4")
      told = said(marks: moved, signs: ["roller_climbs"], trail: tried)
      expect(told.values_at("move", "says")).to eq(
        [nil, "Watch a repetition again at these marks, and say what came of it."]
      )
      tried.first[:outcome] = "same"
      again = said(marks: moved, signs: ["roller_climbs"], trail: tried)
      expect(again["now"]).to be < told["now"]
      gone = said(marks: moved, trail: tried, watched: [watched("roller_climbs"), watched(at: moved)])
      expect(gone["now"]).to be > told["now"]
    end

    it "lead on, and to no notch, where the numbers do not explain what was seen" do
      told = said(signs: ["roller_slides"])
      expect(told.slice("move", "says", "unexplained")).to eq(
        { "move" => nil, "says" => "", "unexplained" => ["roller_slides"] }
      )
    end

    it "offer nothing with which nothing is accepted: a knee stays where a caution wants to be asked first" do
      call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "knee", version: nil })
      expect(said(signs: ["roller_climbs"])).to be_nil
    end

    it "move nobody whom something bars, and praise no marks beside a sign" do
      expect(said(signs: ["roller_climbs"])["move"]).not_to be_nil
      evaluation = Verglas::Application::Meeting.of(loft, id).evaluation(marks)
      stays = Verglas::Application::Watched::Next.new(nil, nil, 0.8, nil, evaluation, nil, [], false)
      told = ->(sign) do
        Verglas::Web::Views::NextMove.of(stays.dup.tap { |one| one.sign = sign }).values_at(:says, :sure)
      end
      expect(told[nil]).to eq(["No mark beside these sits better.", "In line: very likely."])
      expect(told[:roller_climbs]).to eq(["No mark beside these sits better. Look at what else may be behind it.", ""])
      db[:clients].where(id: person[:id]).update(cautions_asked_on: nil)
      expect(said(signs: ["roller_climbs"])).to be_nil
    end

    it "outrank nothing that was read by a creep test" do
      at = call(:get, "/api/fittings/#{id}")["creep_angles"].map { |one| one["arm_deg"] }
      readings = at.first(2).map { |deg| { arm_deg: deg, reading_mm: 350 } }
      expect(said(signs: ["roller_climbs"], creep: { marks: marks, readings: readings })).to be_nil
    end

    it "are refused where they are no signs of the machine" do
      sheet = { marks: marks, work: { **Verglas::Application::Sheet::NO_WORK, watched: [watched("hips_rise")] } }
      answer = call(:patch, "/api/fittings/#{id}", { **sheet, version: 1 })
      expect(answer.values_at("code", "path")).to eq(%w[not_allowed /work/watched/0/signs])
    end
  end

  it "refuses a sign that the machine does not have, and marks that it does not have" do
    expect(explained_error({ marks: marks, signs: ["hips_rise"] })).to eq(%w[unknown_sign /signs])
    expect(explained_error({ marks: marks.merge("back pad" => "99"), signs: ["roller_climbs"] }).first).to eq(
      "unknown_mark"
    )
    expect(explained_error({ marks: marks }).first).to eq("missing")
  end

  def first_marks(machine) = machine[:adjusters].to_h { |adjuster| [adjuster["label"], adjuster["marks"].first] }

  def explained_error(body)
    answer = call(:post, "/api/fittings/#{id}/signs", body)
    answer.values_at("code", "path")
  end
end
