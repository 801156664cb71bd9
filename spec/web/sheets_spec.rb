# frozen_string_literal: true

require "web_helper"

# What a fitting holds besides its marks, on every kind of machine.
RSpec.describe "A fitting's sheet over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) { client(loft, account, name: "Solveig Arkwright", sex: "woman", stature: 1648) }

  before { sign_in }

  def open_on(machine, exercise: "")
    call(:post, "/api/fittings", { client_id: person[:id], machine_id: machine[:id], exercise: exercise })["id"]
  end

  describe "on a machine that is not taped" do
    let(:untaped) do
      machine(loft, "curl_plain", name: "Leg curl 3").then do |row|
        row.merge(loft.machines.update(row[:id], version: 1, by: account, description: bare(row)))
      end
    end
    let(:id) { open_on(untaped) }
    let(:marks) { { "back pad" => "3", "roller" => "B", "thigh pad" => "5" } }

    def bare(row)
      {
        constants: {
        },
        adjusters: row[:adjusters].map { |adjuster| adjuster.merge("travel" => nil) },
        exercises: {
        },
        taped: {
        }
      }
    end

    it "claims nothing, advises nothing, and takes marks, load, signs and a note" do
      shown = call(:get, "/api/fittings/#{id}")
      expect(shown["advice"]).to include("status" => nil, "marks" => {}, "shortfalls" => [])
      expect(shown["evaluation"]).to include(
        "grade" => nil,
        "findings" => [],
        "scene" => nil,
        "targets" => [],
        "motion" => nil
      )
      expect(shown["steps"].map { |step| step["do"] }).to include("Set Roller by eye, as the maker's plate says.")
      call(
        :post,
        "/api/fittings/#{id}/acceptance",
        {
          marks: marks,
          version: 1,
          load: "25 kg",
          signs: %w[hips_lift leg_flies_back],
          note: "Prefers the narrow pad."
        }
      )
      record = call(:get, "/api/fittings/#{id}")
      expect(record).to include(
        "marks" => marks,
        "load" => "25 kg",
        "signs" => %w[hips_lift leg_flies_back],
        "note" => "Prefers the narrow pad."
      )
      expect(call(:get, "/api/clients/#{person[:id]}")["card"].first["accepted"]).to include(
        "grade" => nil,
        "load" => "25 kg",
        "worst" => "Marks and load, no geometry: the machine was not taped."
      )
    end

    it "refuses signs that are none of this machine's, and a load that is too long" do
      expect(call(:patch, "/api/fittings/#{id}", { marks: marks, version: 1, signs: %w[hips_rise] })).to include(
        "code" => "not_allowed",
        "path" => "/signs"
      )
      expect(call(:patch, "/api/fittings/#{id}", { marks: marks, version: 1, load: "x" * 41 })).to include(
        "code" => "too_long",
        "path" => "/load"
      )
      expect(call(:patch, "/api/fittings/#{id}", { marks: marks, version: 1, knee_off_mm: 101 })).to include(
        "path" => "/knee_off_mm"
      )
    end
  end

  it "keeps a note encrypted, and gives it back" do
    id = open_on(machine(loft))
    marks = call(:get, "/api/fittings/#{id}")["marks"]
    call(:patch, "/api/fittings/#{id}", { marks: marks, version: 1, note: "Left knee: médial scar" })
    stored = db[:fittings].get(:note_cipher)
    expect(stored).not_to include("knee")
    expect(Base64.urlsafe_decode64(stored)).not_to include("scar")
    expect(call(:get, "/api/fittings/#{id}")["note"]).to eq("Left knee: médial scar")
    expect(db[:writes].exclude(body: nil).select_map(:body).join).not_to include("scar")
  end

  describe "a fit that was seen" do
    let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
    let(:there) { machine(loft, "curl_plain", name: "Leg curl 1") }

    def accept(machine, **sheet)
      id = open_on(machine)
      call(
        :post,
        "/api/fittings/#{id}/acceptance",
        { marks: call(:get, "/api/fittings/#{id}")["marks"], version: 1, **sheet }
      )
      id
    end

    def body = call(:get, "/api/clients/#{person[:id]}")
    def thigh = body["body"].find { |dimension| dimension["name"] == "thigh" }

    it "teaches the body, which then is surer on the next machine and says from what" do
      before = thigh
      unsure = call(:get, "/api/fittings/#{open_on(there)}")["advice"]["adjusters"].first
      accept(here, knee_off_mm: 0, roller_seen: true)
      expect(thigh["sd_mm"]).to be < before["sd_mm"]
      expect(thigh["source"]).to eq("learned")
      expect(body["learned"].map { |one| one["machine"] }).to eq(["Leg extension 1"])
      surer = call(:get, "/api/fittings/#{open_on(there)}")["advice"]["adjusters"].first
      expect(surer["sure"]).to start_with("Learned from leg extension 1")
      expect(surer["sure"][/to within (\d+)/, 1].to_i).to be < unsure["sure"][/to within (\d+)/, 1].to_i
    end

    def learned = JSON.parse(last_response.body)["learned"]

    it "says at once what was learned, in the body's words, and that nothing was where nobody looked" do
      accept(here)
      expect(learned).to eq(["Nothing was learned of the body. Next time note where you saw the knee and the roller."])
      shin = -> { body["body"].find { |dimension| dimension["name"] == "shank" }.values_at("mm", "sd_mm").map(&:round) }
      _, was = shin.call
      accept(here, knee_off_mm: 0, roller_seen: true)
      told = learned
      mm, sd = shin.call
      expect(told).to include("Shin: #{mm} mm, now right to within #{sd} mm, before to within #{was} mm.")
    end

    it "teaches nothing when nobody looked, and only the latest of one machine counts" do
      accept(here)
      expect(body["learned"]).to be_empty
      accept(here, knee_off_mm: 0)
      once = thigh
      last = accept(here, knee_off_mm: 0)
      expect(thigh["sd_mm"]).to be_within(0.2).of(once["sd_mm"])
      expect(body["learned"].map { |one| one["fitting_id"] }).to eq([last])
    end
  end

  describe "on a station" do
    let(:station) { machine(loft, "shared_seat", name: "Leg station") }
    let(:person) do
      client(
        loft,
        account,
        name: "Solveig Arkwright",
        sex: nil,
        stature: 1700,
        seat_to_kneecap: 604,
        floor_to_knee_top: 541
      )
    end

    it "asks which exercise, and opens each at the seat that serves both" do
      expect(call(:post, "/api/fittings", { client_id: person[:id], machine_id: station[:id] })).to include(
        "code" => "not_allowed",
        "path" => "/exercise"
      )
      pages = %w[extension curl].map { |exercise| call(:get, "/api/fittings/#{open_on(station, exercise: exercise)}") }
      expect(pages.map { |page| page["machine"]["name"] }).to eq(["Leg station: extension", "Leg station: curl"])
      expect(pages.map { |page| page["marks"]["back pad"] }.uniq.size).to eq(1)
      expect(pages.last["station"]).to include("shared" => ["back pad"], "other" => nil)
      expect(pages.last["station"]["exercises"].map { |one| [one["name"], one["active"], one["fitting_id"]] }).to eq(
        [["extension", false, pages.first["id"]], ["curl", true, pages.last["id"]]]
      )
    end

    it "moves the seat of both when one moves, and shows a colleague at the other that it did" do
      extension, curl = %w[extension curl].map { |exercise| open_on(station, exercise: exercise) }
      marks = call(:get, "/api/fittings/#{curl}")["marks"]
      call(:patch, "/api/fittings/#{curl}", { marks: marks.merge("back pad" => "2", "roller" => "A"), version: 1 })
      moved = call(:get, "/api/fittings/#{extension}")
      expect([moved["marks"]["back pad"], moved["version"]]).to eq(["2", 2])
      expect(moved["marks"]["roller"]).not_to eq("A")
      stale = call(:patch, "/api/fittings/#{extension}", { marks: moved["marks"].merge("roller" => "D"), version: 1 })
      expect([status, stale["current"]["marks"]["back pad"]]).to eq([409, "2"])
    end

    it "says on set-up list and card of each what is set anew between the two" do
      done =
        %w[extension curl]
          .zip(%w[4 2])
          .to_h do |exercise, seat|
            id = open_on(station, exercise: exercise)
            marks = call(:get, "/api/fittings/#{id}")["marks"].merge("back pad" => seat)
            call(:post, "/api/fittings/#{id}/acceptance", { marks: marks, version: 1, reason: "As each likes it." })
            [exercise, id]
          end
      expect(done.values.map { |id| call(:get, "/api/fittings/#{id}/set-up")["aids"].last }).to eq(
        [
          "After the curl: back pad from 2 to 4, re-pin the arm.",
          "After the extension: back pad from 4 to 2, re-pin the arm."
        ]
      )
      get "/api/clients/#{person[:id]}/card.txt"
      expect(last_response.body).to include("After the curl: back pad from 2 to 4, re-pin the arm.")
    end

    it "keeps a record of each, and says when the seat was accepted elsewhere" do
      extension = open_on(station, exercise: "extension")
      shown = call(:get, "/api/fittings/#{extension}")
      call(:post, "/api/fittings/#{extension}/acceptance", { marks: shown["marks"], version: 1 })
      curl = call(:get, "/api/fittings/#{open_on(station, exercise: "curl")}")
      expect(curl["marks"]["back pad"]).to eq(shown["marks"]["back pad"])
      call(:patch, "/api/fittings/#{curl["id"]}", { marks: curl["marks"].merge("back pad" => "1"), version: 1 })
      expect(call(:get, "/api/fittings/#{curl["id"]}")["station"]["other"]).to match(
        /\AExtension was accepted at back pad \d\. Fit it again after this, or set it anew between\.\z/
      )
      call(:post, "/api/fittings/#{curl["id"]}/acceptance", { marks: curl["marks"], version: 2 })
      expect(call(:get, "/api/clients/#{person[:id]}")["card"].map { |line| line["exercise"] }).to match_array(
        %w[extension curl]
      )
    end

    it "tells what an exercise gave up for the shared seat, against its own best" do
      bench = ->(exercise) do
        Verglas::Application::Meeting.new(loft, client: person, machine_row: station, exercise: exercise)
      end
      db[:readings].exclude(observation: %w[stature seat_to_kneecap]).delete
      torn =
        (1500..1950)
          .step(50)
          .to_a
          .product([0.31, 0.33, 0.35, 0.37])
          .lazy
          .map do |stature, share|
            db[:readings].where(observation: "stature").update(value_mm: stature)
            db[:readings].where(observation: "seat_to_kneecap").update(value_mm: (stature * share).round)
            %w[extension curl].find do |exercise|
              bench
                .call(exercise)
                .then { |at| at.station_advice.alone[exercise].evaluation.grade != at.advice.evaluation.grade }
            end
          end
          .find(&:itself)
      expect(torn).not_to be_nil
      page = call(:get, "/api/fittings/#{open_on(station, exercise: torn)}")
      expect(page["station"]["gave_up"]).to match(
        Regexp.new(
          "\\AOne place serves both\\. #{torn.capitalize} alone would be (in line|close|off); " \
            "shared, it is (close|off|wrong)\\.\\z"
        )
      )
    end
  end

  describe "with cushions and pads" do
    before { loft.equipment.replace("cushion_back" => [20, 40], "cushion_seat" => [], "hip_pad" => [30, 50]) }

    let(:short) { client(loft, account, name: "Short", sex: "woman", stature: 1440) }

    it "advises the thinnest cushion that helps, only where the maker allows one, and takes it into the numbers" do
      here = machine(loft)
      plain =
        call(
          :get,
          "/api/fittings/#{call(:post, "/api/fittings", { client_id: short[:id], machine_id: here[:id] })["id"]}"
        )
      expect(plain["aids"]).to include("cushion_back_mm" => 0)
      expect(plain["machine"]["aids"]).to eq([])
      loft.machines.update(here[:id], version: 1, by: account, cushions_allowed: true)
      db[:fittings].delete
      padded =
        call(
          :get,
          "/api/fittings/#{call(:post, "/api/fittings", { client_id: short[:id], machine_id: here[:id] })["id"]}"
        )
      expect(padded["aids"]["cushion_back_mm"]).to be_positive
      expect(padded["advice"]["aids_says"].first).to match(
        /\AWith the \d0 mm cushion behind the back; without one: (off|close)\./
      )
      knee = ->(aids) do
        call(:post, "/api/fittings/#{padded["id"]}/evaluation", { marks: padded["marks"], aids: aids })["quantities"][
          "knee_s_mm"
        ]
      end
      expect(knee.call({ cushion_back_mm: 40 }) - knee.call({})).to be_within(0.01).of(40)
    end

    it "advises the pad that bends the hips, on a flat bench only" do
      flat, hinged = %w[lie_flat lie_hinged].map { |name| call(:get, "/api/fittings/#{open_on(machine(loft, name))}") }
      expect([flat, hinged].map { |page| page["aids"]["hip_pad_mm"] }).to eq([50, 0])
      expect(flat["steps"][1]).to include("id" => "@lie", "adjuster" => nil, "title" => "Knee to pivot")
      expect(flat["steps"][1]["do"]).to start_with("Lay the 50 mm pad under the hips.")
    end
  end
end
