# frozen_string_literal: true

require "web_helper"
require "vips"

RSpec.describe "Machines over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:walk) { { side: "left", handle: "yellow", unlocks: "lever", reachable_seated: false, weight_off_first: true } }
  let(:entered) do
    {
      family: "curl",
      name: "Leg curl 9",
      code: "C9",
      place: "by the door",
      getting_in: "From the left.",
      adjusters: [
        { label: "seat", kind: "whole_seat", forwards: true, marks: %w[1 2 3 4 5 6], walk_round: walk },
        { label: "roller", kind: "roller", forwards: true, marks: %w[A B C D E] },
        { label: "thigh pad", kind: "thigh_pad", forwards: true, marks: ["dot", *"1".."9"] },
        { label: "belt", kind: "recorded", forwards: true, marks: %w[on off] }
      ]
    }
  end
  let(:page) { call(:post, "/api/machines", entered) }
  let(:id) { page["machine"]["id"] }
  let(:path) { "/api/machines/#{id}" }

  before { sign_in }

  def exercise(name = "") = call(:get, path)["exercises"].find { |one| one["name"] == name }
  def version = loft.machines.find(id)[:version]
  def tape(**length) = call(:put, "#{path}/lengths", { version: version, **length })

  # The curl of the fixtures, length by length, as an instructor would.
  def tape_all
    {
      pivot_above_seat: 70,
      back_face: -602,
      seat_edge: -165,
      roller_reach: 318,
      roller_radius: 50,
      start_angle: 26,
      end_angle: 120,
      thigh_pad_front: -64,
      thigh_pad_height: 82
    }.each { |name, value| tape(name: name, value: value) }
    {
      "seat" => [0, 24, 48, 72, 96, 120],
      "roller" => [0, 25, 50, 75, 100],
      "thigh pad" => (0..9).map { |mark| mark * 11 }
    }.each { |label, travel| tape(adjuster: label, travel: travel) }
  end

  describe "entering" do
    it "keeps marks as printed, the order met and the walk-round, and claims nothing yet" do
      expect(page["machine"]["taped"]).to eq("untaped")
      expect(status).to eq(201)
      adjusters = exercise["adjusters"]
      expect(adjusters.map { |adjuster| adjuster["label"] }).to eq(["seat", "roller", "thigh pad", "belt"])
      expect(adjusters.first).to include(
        "kind" => "whole_seat",
        "travel" => nil,
        "walk_round" => {
          **walk.transform_keys(&:to_s),
          "both_sides" => false
        }
      )
      expect(exercise).to include("told" => [], "remarks" => [])
      expect(exercise["people"].map { |person| person["grade"] }).to eq([nil, nil, nil])
    end

    it "offers families with what their adjusters may move" do
      families = call(:get, "/api/families")["families"]
      expect(families.map { |family| family["id"] }).to match_array(
        Verglas::Machines::Families.all.map { |family| family.id.to_s }
      )
      lying =
        families.find { |family| family["id"] == "lying_curl" }["exercises"].first["kinds"].map { |kind| kind["name"] }
      expect(lying).to eq(%w[bench_height hinge bench_length roller start end recorded])
    end

    it "refuses a second machine of the same name or code, and what no adjuster of the family moves" do
      page
      expect(call(:post, "/api/machines", entered.merge(code: "C10"))).to include(
        "code" => "machine_name_taken",
        "path" => "/name"
      )
      expect(call(:post, "/api/machines", entered.merge(name: "Leg curl 10"))).to include(
        "code" => "machine_code_taken",
        "path" => "/code"
      )
      odd = { label: "hinge", kind: "hinge", forwards: true, marks: %w[1 2] }
      expect(call(:post, "/api/machines", { family: "curl", name: "X", adjusters: [odd] })).to include(
        "code" => "not_allowed",
        "path" => "/adjusters/0/kind"
      )
      twice = { label: "seat", kind: "whole_seat", forwards: true, marks: %w[1 1] }
      expect(call(:post, "/api/machines", { family: "curl", name: "X", adjusters: [twice] })).to include(
        "code" => "marks_repeated"
      )
      expect(db[:machines].count).to eq(1)
    end

    it "enters a station: shared adjusters once, the arm's for each exercise" do
      station =
        call(
          :post,
          "/api/machines",
          {
            family: "combined",
            name: "Station",
            adjusters: [{ label: "back pad", kind: "back_pad", forwards: false, marks: %w[1 2 3] }],
            exercises: {
              extension: {
                adjusters: [{ label: "roller", kind: "roller", forwards: true, marks: %w[A B] }]
              },
              curl: {
                adjusters: [{ label: "roller", kind: "roller", forwards: true, marks: %w[A B C] }]
              }
            }
          }
        )
      shown =
        station["exercises"].to_h do |one|
          [
            one["name"],
            one["adjusters"].map { |adjuster| [adjuster["label"], adjuster["marks"].size, adjuster["shared"]] }
          ]
        end
      expect(shown).to eq(
        {
          "extension" => [["back pad", 3, true], ["roller", 2, false]],
          "curl" => [["back pad", 3, true], ["roller", 3, false]]
        }
      )
      taped =
        call(
          :put,
          "/api/machines/#{station["machine"]["id"]}/lengths",
          { version: 1, exercise: "curl", name: "roller_reach", value: 318 }
        )
      reach =
        taped["exercises"].to_h do |one|
          [one["name"], one["lengths"].find { |length| length["name"] == "roller_reach" }["value"]]
        end
      expect(reach).to eq({ "extension" => nil, "curl" => 318 })
      shared =
        call(
          :put,
          "/api/machines/#{station["machine"]["id"]}/lengths",
          { version: 2, exercise: "curl", name: "back_face", value: -480 }
        )
      expect(
        shared["exercises"].map { |one| one["lengths"].find { |length| length["name"] == "back_face" }["value"] }
      ).to eq([-480, -480])
    end
  end

  describe "taping" do
    it "tells more with every part that is taped, and remembers who taped what" do
      tape(name: "pivot_above_seat", value: 70)
      tape(name: "back_face", value: -602)
      tape(name: "seat_edge", value: -165)
      expect(exercise["told"]).to be_empty # how far the seat travels is not known yet
      tape(adjuster: "seat", travel: [0, 24, 48, 72, 96, 120])
      expect(call(:get, path)["machine"]["taped"]).to eq("partly")
      expect(exercise["told"]).to eq(["Knee to pivot", "Behind the knee"])
      expect(exercise["lengths"].first["taped"]).to include("by" => "Maren Oldcastle", "copied" => false)
      tape_all
      expect(call(:get, path)["machine"]["taped"]).to eq("taped")
      expect(exercise["told"].size).to eq(7)
      expect(exercise["people"].map { |person| person["scene"] && person["grade"] }).to all(
        eq("in line").or(eq("close"))
      )
    end

    it "asks about a likely slip with why, keeps nothing, and takes it when confirmed" do
      tape_all
      odd = tape(name: "pivot_above_seat", value: 128)
      expect(odd).to include("code" => "odd_length", "path" => "/value")
      expect(odd["message"]).to match(
        /\APivot over the seat: 12\.8 cm is unusual\. Most machines have 3\.0 cm to 11\.0 cm\. Read again/
      )
      expect(tape(name: "pivot_above_seat", value: 128, unit: "in")["message"]).to start_with(
        "Pivot over the seat: 5.0 in is unusual. Most machines have 1.2 in to 4.3 in."
      )
      expect(exercise["lengths"].first["value"]).to eq(70)
      tape(name: "pivot_above_seat", value: 128, confirmed: true)
      expect([status, exercise["lengths"].first["value"]]).to eq([200, 128])
    end

    it "refuses what cannot be at all, confirmed or not" do
      expect(tape(name: "roller_reach", value: 5, confirmed: true)).to include(
        "code" => "constant_out_of_range",
        "path" => "/value"
      )
      expect(tape(adjuster: "roller", travel: [0, 10], confirmed: true)).to include("code" => "travel_per_mark")
      expect(tape(adjuster: "lamp", travel: [0, 10])).to include("code" => "unknown_adjuster")
      expect(tape(name: "hinge_angle", value: 10)).to include("code" => "unknown_constant")
    end

    it "tries a length without writing it" do
      tape_all
      before = db[:machine_descriptions].all
      trial = call(:post, "#{path}/trial", { exercise: "", name: "back_face", value: -702 })
      expect(trial["remarks"].flat_map { |remark| remark["constants"] }).to include("back_face")
      expect(trial["people"].map { |person| person["title"] }).to eq(
        ["Small, 152 cm", "Middle, 169 cm", "Large, 190 cm"]
      )
      expect(call(:post, "#{path}/trial", { exercise: "" })["remarks"]).to be_empty
      expect(db[:machine_descriptions].all).to eq(before)
    end

    it "forgets a length when asked, and tells less again" do
      tape_all
      tape(name: "roller_reach", value: nil)
      expect(exercise["told"]).to eq(["Knee to pivot", "Behind the knee", "Kneecap to thigh pad", "Thigh pad"])
      expect(exercise["lengths"].find { |length| length["name"] == "roller_reach" }).to include(
        "value" => nil,
        "taped" => nil
      )
    end

    it "overwrites nobody: a length taped over an older version is refused with what stands" do
      page
      tape(name: "pivot_above_seat", value: 70)
      stale = call(:put, "#{path}/lengths", { version: 1, name: "pivot_above_seat", value: 90 })
      expect([status, stale["code"], stale["current"]["version"]]).to eq([409, "stale", 2])
    end
  end

  describe "after somebody was fitted" do
    let(:people) do
      { "Ada" => 1580, "Bo" => 1700, "Cy" => 1830 }.map do |name, stature|
        client(loft, account, name: name, sex: nil, stature: stature, seat_to_kneecap: (stature * 0.35).round)
      end
    end
    let(:records) { people.map { |person| fitted(person) } }

    def fitted(person)
      opened = call(:post, "/api/fittings", { client_id: person[:id], machine_id: id })["id"]
      shown = call(:get, "/api/fittings/#{opened}")
      call(:post, "/api/fittings/#{opened}/acceptance", { marks: shown["marks"], version: 1 })
      call(:get, "/api/fittings/#{opened}")
    end

    before do
      tape_all
      records
    end

    it "keeps what was accepted as it was when a length changes, and says whose advice changes" do
      changed = tape(name: "back_face", value: -570, confirmed: true)
      expect(changed["number"]).to eq(2)
      expect(records.map { |record| call(:get, "/api/fittings/#{record["id"]}") }).to eq(records)
      changes = call(:get, "#{path}/changes")
      expect(changes).to include("asked" => 3, "of" => 3)
      expect(changes["clients"].map { |change| change["client"]["name"] }).to match_array(%w[Ada Bo Cy])
      bo = changes["clients"].find { |change| change["client"]["name"] == "Bo" }
      expect(bo["before"]).not_to eq(bo["now"])
    end

    it "makes one new description however many lengths are taped until somebody is fitted on it" do
      tape(name: "back_face", value: -600)
      expect(tape(name: "seat_edge", value: -160)["number"]).to eq(2)
      expect(call(:get, "#{path}/changes")["clients"]).to all(include("before", "now"))
    end

    it "shows who fits, how often each mark stands on a card, and the fittings" do
      population = call(:get, "#{path}/population")
      expect(population).to include("of" => 3)
      expect(population["people"].map { |person| person["stature_mm"].round(-1) }).to contain_exactly(1580, 1700, 1830)
      shown = call(:get, path)
      expect(shown["use"].select { |use| use["label"] == "roller" }.sum { |use| use["count"] }).to eq(3)
      expect(shown["fittings"].map { |fitting| fitting["client"]["name"] }).to eq(%w[Cy Bo Ada])
    end

    it "lets marks be renamed: the draft that is open stands on what is there, the record as it was" do
      draft = call(:post, "/api/fittings", { client_id: people.first[:id], machine_id: id })["id"]
      renamed =
        entered[:adjusters].map do |adjuster|
          adjuster[:label] == "roller" ? adjuster.merge(marks: %w[I II III IV V]) : adjuster
        end
      corrected = call(:patch, path, { version: version, adjusters: renamed })
      roller = corrected["exercises"].first["adjusters"].find { |adjuster| adjuster["label"] == "roller" }
      expect(roller).to include("marks" => %w[I II III IV V], "travel" => nil)
      expect(corrected["exercises"].first["adjusters"].first["travel"]).to eq([0, 24, 48, 72, 96, 120])
      shown = call(:get, "/api/fittings/#{draft}")
      expect([shown["repaired"], shown["marks"]["roller"]]).to eq([true, "I"])
      expect(call(:get, "/api/fittings/#{records.first["id"]}")).to eq(records.first)
    end

    it "copies a machine of the same make: its lengths are to be checked" do
      copy = call(:post, "#{path}/copy", { name: "Leg curl 10" })
      expect([status, copy["copied_from"], copy["machine"]["code"]]).to eq([201, "Leg curl 9", ""])
      expect(
        copy["exercises"].first["lengths"].filter_map { |length| length["taped"] }.map { |taped| taped["copied"] }
      ).to all(be(true))
      checked =
        call(:put, "/api/machines/#{copy["machine"]["id"]}/lengths", { version: 1, name: "back_face", value: -602 })
      expect(
        checked["exercises"].first["lengths"].find { |length| length["name"] == "back_face" }["taped"]["copied"]
      ).to be(false)
      expect(call(:get, path)["fittings"].size).to eq(3)
      expect(copy["fittings"]).to be_empty
    end

    it "retires a machine: nobody is fitted on it any more, what was accepted stays on the card" do
      call(:patch, path, { version: version, state: "retired" })
      expect(call(:post, "/api/fittings", { client_id: people.first[:id], machine_id: id })).to include(
        "code" => "machine_retired"
      )
      shown = call(:get, "/api/clients/#{people.first[:id]}")
      expect(shown["machines"]).to be_empty
      expect(shown["history"].size).to eq(1)
    end
  end

  it "says on every list what a machine needs" do
    call(:patch, path, { version: 1, state: "out_of_order", state_note: "cable frayed" })
    expect(call(:get, "/api/machines")["machines"].first).to include(
      "state" => "out_of_order",
      "state_note" => "cable frayed",
      "taped" => "untaped"
    )
    expect(call(:get, "/api/floor")["machines"].first).to include("state" => "out_of_order")
  end

  describe "photographs" do
    # Wider than high, in two colours, with where it was taken and that it was held upright.
    let(:jpeg) do
      picture = Vips::Image.black(60, 40, bands: 3).draw_rect([200, 30, 30], 0, 0, 30, 40, fill: true)
      told =
        picture.mutate do |image|
          image.set_type!(GObject::GINT_TYPE, "orientation", 6)
          image.set_type!(
            GObject::GSTR_TYPE,
            "exif-ifd3-GPSLatitude",
            "54/1 8/1 0/1 (54, 8, 0, Rational, 3 components, 24 bytes)"
          )
          image.set_type!(
            GObject::GSTR_TYPE,
            "exif-ifd0-Artist",
            "Perpetua Lowe (Perpetua Lowe, ASCII, 14 components, 14 bytes)"
          )
        end
      told.jpegsave_buffer(Q: 90)
    end
    let(:encoded) { [jpeg].pack("m0") }

    it "keeps one of the machine and one an adjuster, and shows it to this gym only" do
      kept = call(:put, "#{path}/photographs", { adjuster: "", jpeg_base64: encoded })["photographs"]
      expect(kept.map { |photograph| photograph["adjuster"] }).to eq([""])
      again = call(:put, "#{path}/photographs", { adjuster: "seat", jpeg_base64: encoded })["photographs"]
      expect(again.map { |photograph| photograph["adjuster"] }).to eq(["", "seat"])
      call(:get, "/api/photographs/#{kept.first["id"]}")
      expect([status, last_response.content_type, last_response.headers["cache-control"]]).to eq(
        [200, "image/jpeg", "private, no-cache"]
      )
      removed = call(:post, "#{path}/photographs/removal", { adjuster: "seat" })["photographs"]
      expect(removed.size).to eq(1)
      other = gym("The Sail Shed")
      staff(other, email: "ines@sailshed.example")
      sign_in(email: "ines@sailshed.example")
      call(:get, "/api/photographs/#{kept.first["id"]}")
      expect(status).to eq(404)
    end

    def kept_picture(base64 = encoded)
      id = call(:put, "#{path}/photographs", { adjuster: "", jpeg_base64: base64 })["photographs"].first["id"]
      call(:get, "/api/photographs/#{id}")
      last_response.body.b
    end

    it "keeps the picture alone, upright: no place, no name, no camera" do
      expect(jpeg.b).to include("Perpetua")
      picture = kept_picture
      expect(picture).not_to match(/Perpetua|Exif|GPS/n)
      image = Vips::Image.new_from_buffer(picture, "")
      expect([image.width, image.height, image.get_fields.grep(/exif|gps|icc|xmp/i)]).to eq([40, 60, []])
      expect(image.getpoint(20, 5)).to match([be_within(12).of(200), be_within(12).of(30), be_within(12).of(30)])
      expect(db[:machine_photographs].get(%i[width_px height_px])).to eq([40, 60])
    end

    it "is asked for again each time: not seen after signing out, nor once removed or replaced" do
      id = call(:put, "#{path}/photographs", { adjuster: "", jpeg_base64: encoded })["photographs"].first["id"]
      call(:get, "/api/photographs/#{id}")
      header "If-None-Match", last_response.headers["etag"]
      get "/api/photographs/#{id}"
      expect(status).to eq(304)
      call(:post, "/auth/logout", {})
      get "/api/photographs/#{id}"
      expect(status).to eq(401)
      sign_in
      call(:post, "#{path}/photographs/removal", { adjuster: "" })
      get "/api/photographs/#{id}"
      expect(status).to eq(404)
    end

    it "refuses a head without a picture, a picture that breaks off, and one that would unfold to more than a screen" do
      head = jpeg[0, jpeg.index("\xFF\xDA".b)]
      wide = Vips::Image.black(1700, 8, bands: 3).jpegsave_buffer
      bomb = wide.b.sub([8, 1700].pack("n2"), [65_000, 65_000].pack("n2"))
      {
        head => "not_a_jpeg",
        head + ("\x00" * 300).b => "not_a_jpeg",
        jpeg[0, jpeg.bytesize * 2 / 3] => "not_a_jpeg",
        wide => "picture_too_large",
        bomb => "picture_too_large"
      }.each do |bytes, code|
        expect(call(:put, "#{path}/photographs", { adjuster: "", jpeg_base64: [bytes].pack("m0") })["code"]).to eq(code)
      end
      expect(db[:machine_photographs].count).to eq(0)
    end

    it "refuses what is no JPEG, or of an adjuster that is none" do
      [
        ["x" * 200].pack("m0"),
        "not base64 at all, not even nearly: #{"?" * 100}",
        ["\x89PNG\r\n\x1A\n#{"x" * 200}"].pack("m0")
      ].each do |bad|
        expect(call(:put, "#{path}/photographs", { adjuster: "", jpeg_base64: bad })).to include(
          "code" => "not_a_jpeg",
          "path" => "/jpeg_base64"
        )
      end
      expect(call(:put, "#{path}/photographs", { adjuster: "lamp", jpeg_base64: encoded })).to include(
        "code" => "unknown_adjuster"
      )
      expect(db[:machine_photographs].count).to eq(0)
    end
  end

  it "keeps the sizes of cushions and pads that the gym owns" do
    none = { cushion_back: [], cushion_seat: [], hip_pad: [], block: [], foot_rest: [], mat: [] }
    call(:put, "/api/equipment", { sizes: { **none, cushion_back: [40, 20], hip_pad: [45.5] }, version: 1 })
    kept = call(:get, "/api/equipment")
    sizes = kept["kinds"].to_h { |kind| kind.values_at("name", "sizes") }
    expect(sizes).to eq(
      {
        "cushion_back" => [20, 40],
        "cushion_seat" => [],
        "hip_pad" => [45.5],
        "block" => [],
        "foot_rest" => [],
        "mat" => []
      }
    )
    expect(kept["version"]).to eq(2)
    expect(call(:put, "/api/equipment", { sizes: { **none, cushion_back: [0] }, version: 2 })).to include(
      "path" => "/sizes/cushion_back/0"
    )
  end
end
