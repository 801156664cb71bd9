# frozen_string_literal: true

require "web_helper"
require_relative "../support/everything"

# Every field of every route: wrong type, out of range, missing, too long, unknown, another gym's. Always 4xx with a
# code and a path, nothing half written, nothing personal in the log.
RSpec.describe "Bad input" do
  include Everything

  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:here) { machine(loft) }
  let(:person) { client(loft, account, name: "Perpetua Lowe", stature: 1648) }
  let(:marks) { { "back pad" => "3", "roller" => "C", "start" => "3" } }
  let(:draft) do
    loft
      .fittings
      .open(client_id: person[:id], machine_id: here[:id], description_number: 1, marks: marks, by: account)
      .first
  end

  before { sign_in }

  def expect_refused(method, path, body, code: nil, at: nil)
    before = everything(but: [:account_active_session_keys])
    error = call(method, path, body)
    expect(status).to be_between(400, 499), "#{method} #{path} #{body} gave #{status}"
    expect(error.values_at("code", "message")).to all(be_a(String)), error.to_s
    expect(error["path"]).to eq(at) if at
    expect(error["code"]).to eq(code) if code
    expect(everything(but: [:account_active_session_keys])).to eq(before)
  end

  bad_clients = {
    "/name" => [nil, 5, [], "", "   ", "x" * 81, { "a" => 1 }],
    "/detail" => [nil, 5, "x" * 81],
    "/sex" => ["other", 3, ""],
    "/birth_date" => ["yesterday", 19_900_101, "1899-01-01", "2023-02-30", "2999-01-01"],
    "/body_mass_kg" => ["heavy", -1, 0, 19, 401, 1e9, []],
    "/colour" => ["red"]
  }
  bad_clients.each do |path, values|
    it "refuses a client's #{path} when it is #{values.map { |value| value.inspect[0, 20] }.join(", ")}" do
      values.each do |value|
        field = path.delete_prefix("/")
        expect_refused(:post, "/api/clients", { name: "Ada" }.merge(field.to_sym => value), at: path)
        expect_refused(:patch, "/api/clients/#{person[:id]}", { :version => 1, field.to_sym => value }, at: path)
      end
    end
  end

  it "refuses a client without a name, and a correction without a version" do
    expect_refused(:post, "/api/clients", {}, code: "missing", at: "/name")
    expect_refused(:patch, "/api/clients/#{person[:id]}", { name: "Ada" }, code: "missing", at: "/version")
    [0, -1, "1", 1.5, 10**12].each do |version|
      expect_refused(:patch, "/api/clients/#{person[:id]}", { version: version }, at: "/version")
    end
  end

  bad_readings = {
    "/value" => [nil, "long", 0, -5, 301, []],
    "/unit" => [nil, "ft", 5],
    "/confirmed" => ["yes", 1],
    "/version" => [nil, 0, "1"]
  }
  bad_readings.each do |path, values|
    it "refuses a reading's #{path} when it is #{values.inspect}" do
      good = { value: 57, unit: "cm", version: 1 }
      values.each do |value|
        expect_refused(
          :put,
          "/api/clients/#{person[:id]}/readings/seat_to_kneecap",
          good.merge(path.delete_prefix("/").to_sym => value),
          at: path
        )
      end
    end
  end

  it "refuses measures that are none, and a removal without its version" do
    expect_refused(
      :put,
      "/api/clients/#{person[:id]}/readings/arm_span",
      { value: 57, unit: "cm", version: 1 },
      code: "unknown_observation"
    )
    expect_refused(:delete, "/api/clients/#{person[:id]}/readings/stature", nil)
    expect_refused(:delete, "/api/clients/#{person[:id]}/readings/stature?version=many", nil)
  end

  bad_marks = [
    nil,
    [],
    "3",
    {},
    { "back pad" => "3" },
    { "back pad" => 3, "roller" => "C", "start" => "3" },
    { "back pad" => "9", "roller" => "C", "start" => "3" },
    { "back pad" => "3", "roller" => "C", "start" => "3", "lamp" => "1" },
    { "back pad" => "x" * 21, "roller" => "C", "start" => "3" }
  ]
  bad_marks.each do |bad|
    it "refuses marks that are #{bad.inspect[0, 70]}" do
      { :post => "evaluation", :patch => "", "post " => "acceptance" }.each do |method, action|
        body = action == "evaluation" ? { marks: bad } : { marks: bad, version: draft[:version] }
        expect_refused(
          method.to_s.strip.to_sym,
          "/api/fittings/#{draft[:id]}#{"/#{action}" unless action.empty?}",
          body
        )
      end
    end
  end

  it "refuses to open a bench on what is no id or nobody's id" do
    ["x", 5, nil, SecureRandom.uuid].each do |bad|
      expect_refused(:post, "/api/fittings", { client_id: bad, machine_id: here[:id] })
      expect_refused(:post, "/api/fittings", { client_id: person[:id], machine_id: bad })
    end
  end

  describe "a machine's" do
    let(:curl) do
      {
        family: "curl",
        name: "Leg curl 9",
        adjusters: [{ label: "seat", kind: "whole_seat", forwards: true, marks: %w[1 2] }]
      }
    end

    bad_facts = {
      "/family" => [nil, 5, "", "sofa", "x" * 41],
      "/name" => [nil, 5, "", "   ", "x" * 81],
      "/code" => [nil, 5, "x" * 21],
      "/place" => [5, "x" * 81],
      "/state" => ["lost", nil],
      "/state_note" => ["x" * 201, 5],
      "/getting_in" => ["x" * 401],
      "/getting_out" => ["x" * 401, nil],
      "/left_behind" => ["x" * 401],
      "/slack_from_deg" => ["much", -61, 181],
      "/user_mass_limit_kg" => [39, 401, "heavy"],
      "/least_age_years" => [7, 101, 12.5],
      "/cushions_allowed" => ["yes", nil],
      "/adjusters" => [nil, {}, "none"],
      "/exercises" => [[], "none"],
      "/colour" => ["red"]
    }
    bad_facts.each do |path, values|
      it "#{path} is refused when it is #{values.map { |value| value.inspect[0, 20] }.join(", ")}" do
        field = path.delete_prefix("/").to_sym
        values.each do |value|
          expect_refused(:post, "/api/machines", curl.merge(field => value), at: path)
          unless field == :family
            expect_refused(:patch, "/api/machines/#{here[:id]}", { :version => 1, field => value }, at: path)
          end
        end
      end
    end

    bad_adjusters = {
      "/label" => [nil, 5, "", "  ", "x" * 41],
      "/kind" => [nil, "lamp", 5],
      "/forwards" => [nil, "up"],
      "/marks" => [nil, [], "1-5", %w[1 1], [" "], ["x" * 21], Array.new(61, &:to_s)],
      "/walk_round" => [nil, {}, { side: 5 }],
      "/shine" => [1]
    }
    bad_adjusters.each do |path, values|
      it "adjuster is refused when its #{path} is #{values.map { |value| value.inspect[0, 20] }.join(", ")}" do
        values.each do |value|
          adjuster = curl[:adjusters].first.merge(path.delete_prefix("/").to_sym => value)
          expect_refused(:post, "/api/machines", curl.merge(adjusters: [adjuster]))
          expect_refused(:patch, "/api/machines/#{here[:id]}", { version: 1, adjusters: [adjuster] })
        end
      end
    end

    bad_lengths = [
      {},
      { name: "back_face" },
      { value: 5 },
      { name: "lamp", value: 5 },
      { name: "Back face", value: 5 },
      { name: "back_face", value: "far" },
      { name: "back_face", value: 2001 },
      { name: "back_face", value: 400 },
      { name: "back_face", value: -500, adjuster: "seat", travel: [0] },
      { adjuster: "lamp", travel: [0, 1] },
      { adjuster: "roller", travel: "far" },
      { adjuster: "roller", travel: [0, 1] },
      { adjuster: "roller", travel: [0, 0, 0, 0, 0], confirmed: true },
      { name: "back_face", value: -500, exercise: "curl" },
      { name: "back_face", value: -500, exercise: 5 }
    ]
    bad_lengths.each do |length|
      it "length is refused when it is #{length}" do
        expect_refused(:put, "/api/machines/#{here[:id]}/lengths", { version: 1, **length })
        next if length.empty? || length.keys == %i[name] || length.keys == %i[value] || length.key?(:confirmed)

        unless length.size == 4
          expect_refused(:post, "/api/machines/#{here[:id]}/trial", { exercise: "", **length.except(:confirmed) })
        end
      end
    end

    it "copy, photograph and equipment are refused at their edges" do
      [nil, "", 5, "x" * 81].each do |name|
        expect_refused(:post, "/api/machines/#{here[:id]}/copy", { name: name }, at: "/name")
      end
      expect_refused(
        :post,
        "/api/machines/#{here[:id]}/copy",
        { name: here[:name] },
        code: "machine_name_taken",
        at: "/name"
      )
      [nil, 5, "short"].each do |jpeg|
        expect_refused(
          :put,
          "/api/machines/#{here[:id]}/photographs",
          { adjuster: "", jpeg_base64: jpeg },
          at: "/jpeg_base64"
        )
      end
      expect_refused(:put, "/api/equipment", { sizes: { cushion_back: [20] }, version: 1 })
      expect_refused(
        :put,
        "/api/equipment",
        {
          sizes: {
            cushion_back: [],
            cushion_seat: [],
            hip_pad: [],
            block: [],
            foot_rest: [],
            mat: [],
            towel: [20]
          },
          version: 1
        }
      )
      [["thick"], [0], [201], 20, [20, 20]].each do |sizes|
        expect_refused(
          :put,
          "/api/equipment",
          {
            sizes: {
              cushion_back: sizes,
              cushion_seat: [],
              hip_pad: [],
              block: [],
              foot_rest: [],
              mat: []
            },
            version: 1
          }
        )
      end
    end

    it "routes know no machine by another's id or by none" do
      [SecureRandom.uuid, "lamp"].each do |id|
        [
          [:get, ""],
          [:get, "/population"],
          [:get, "/changes"],
          [:patch, "", { version: 1, name: "x" }],
          [:put, "/lengths", { version: 1, name: "back_face", value: -500 }],
          [:post, "/trial", { exercise: "" }],
          [:post, "/copy", { name: "x" }],
          [:put, "/photographs", { adjuster: "", jpeg_base64: "x" * 200 }],
          [:post, "/photographs/removal", { adjuster: "" }]
        ].each { |method, route, body| expect_refused(method, "/api/machines/#{id}#{route}", body) }
        expect_refused(:get, "/api/photographs/#{id}", nil)
      end
    end
  end

  work = ->(fields) { Verglas::Application::Sheet::NO_WORK.merge(fields) }
  flow = ->(done: {}, skipped: {}, at: nil) { { at: at, done: done, skipped: skipped } }
  bad_sheets = {
    "/aids" => [nil, [], { lamp: 1 }, { cushion_back_mm: "thick" }, { cushion_back_mm: -1 }, { hip_pad_mm: 201 }],
    "/load" => [nil, 5, "x" * 41],
    "/signs" => [nil, "ache", ["lamp"], [5], %w[hips_lift hips_lift]],
    "/note" => [nil, 5, "x" * 1001],
    "/knee_off_mm" => ["far", 101, -101],
    "/roller_seen" => [nil, "yes"],
    "/mood" => ["good"],
    "/flow" => [
      nil,
      "roller",
      {},
      flow.call(at: 5),
      flow.call(done: { "roller" => {} }),
      flow.call(done: { "roller" => { marks: { "roller" => 3 } } }),
      flow.call(skipped: { "roller" => "x" * 201 })
    ],
    "/work" => [
      nil,
      {},
      { load_kg: 5 },
      work.call("load_kg" => -1),
      work.call("repetitions" => 0),
      work.call("last" => "fine"),
      work.call("felt" => "toes"),
      work.call("mood" => "good")
    ],
    "/cue" => [nil, 5, "x" * 201],
    "/reason" => [nil, 5, "x" * 301],
    "/trail" => [
      nil,
      {},
      [5],
      [{ sign: "hips_lift" }],
      [{ sign: "hips_lift", adjuster: "roller", from: "A", to: "B", outcome: "fine" }],
      [{ sign: "her new knee", adjuster: "roller", from: "A", to: "B", outcome: nil }],
      [{ sign: "hips_lift", adjuster: "her knee", from: "A", to: "B", outcome: nil }],
      [{ sign: "hips_lift", adjuster: "roller", from: "A", to: "Z", outcome: nil }]
    ],
    "/creep" => [
      nil,
      [],
      { marks: { "lamp" => "1" } },
      { readings: [{ arm_deg: 5, reading_mm: 100 }] },
      { marks: {}, readings: [] },
      { marks: { "back pad" => "3", "roller" => "C", "start" => "3" }, readings: [{ arm_deg: 5, reading_mm: -1 }] }
    ]
  }
  bad_sheets.each do |path, values|
    it "refuses a sheet's #{path} when it is #{values.map { |value| value.inspect[0, 20] }.join(", ")}" do
      values.each do |value|
        body = { :marks => marks, :version => draft[:version], path.delete_prefix("/").to_sym => value }
        expect_refused(:patch, "/api/fittings/#{draft[:id]}", body)
        expect_refused(:post, "/api/fittings/#{draft[:id]}/acceptance", body)
      end
    end
  end

  it "refuses loads that are none, and steps that were done nowhere" do
    path = "/api/fittings/#{draft[:id]}"
    bad_loads = [
      { wanted_kg: "much" },
      { wanted_kg: -1 },
      { left_kg: 1001 },
      { last: "fine" },
      { repetitions: 0 },
      { repetitions: 2.5 },
      { mood: "good" }
    ]
    bad_loads.each { |body| expect_refused(:post, "#{path}/loads", body) }
    [
      {},
      { marks: marks },
      { marks: marks, done: [] },
      { marks: marks, done: { "roller" => { marks: {} } } },
      { marks: marks, done: { "roller" => { marks: marks.merge("roller" => "Z") } } }
    ].each { |body| expect_refused(:post, "#{path}/again", body) }
    [
      {},
      { marks: marks, creep: {} },
      { marks: marks, creep: { marks: marks, readings: [{ arm_deg: 20, reading_mm: 300 }] } },
      { marks: marks, creep: { marks: marks, readings: Array.new(5) { |index| { arm_deg: index, reading_mm: 300 } } } }
    ].each { |body| expect_refused(:post, "#{path}/creep", body) }
  end

  it "refuses a stop that is no sign, or over an older version" do
    path = "/api/fittings/#{draft[:id]}/stop"
    [
      {},
      { stop_sign: "faintness" },
      { stop_sign: "hiccups", sheet: { marks: marks, version: 1 } },
      { stop_sign: "faintness", sheet: { marks: marks } },
      { stop_sign: "faintness", sheet: { marks: marks, version: 1, mood: "low" } }
    ].each { |body| expect_refused(:post, path, body) }
    expect_refused(:post, path, { stop_sign: "faintness", sheet: { marks: marks, version: 7 } }, code: "stale")
  end

  bad_loadings = [
    5,
    "stack",
    {},
    { kind: "stack" },
    { kind: "stack", unit: "kg" },
    { kind: "stack", unit: "st", masses: [5] },
    { kind: "stack", unit: "kg", masses: [] },
    { kind: "stack", unit: "kg", masses: [0] },
    { kind: "stack", unit: "kg", masses: [5, 5] },
    { kind: "stack", unit: "kg", masses: [5], addons: [-1] },
    { kind: "stack", unit: "kg", masses: [5], ratio: 0 },
    { kind: "sled", unit: "kg", bare: 40 },
    { kind: "sled", unit: "kg", incline_deg: 91 },
    { kind: "plates", unit: "kg", bare: -1 },
    { kind: "bucket", unit: "kg" },
    { kind: "plates", unit: "kg", colour: "red" }
  ]
  bad_loadings.each do |loading|
    it "refuses a machine that is loaded with #{loading.inspect[0, 60]}" do
      expect_refused(:patch, "/api/machines/#{here[:id]}", { version: 1, loading: loading })
    end
  end

  it "refuses plates that are none, and a list of who comes next that is none" do
    [
      nil,
      {},
      [5],
      [{ mass: 20 }],
      [{ mass: 0, unit: "kg", pairs: 1 }],
      [{ mass: 20, unit: "kg", pairs: 0 }],
      [{ mass: 20, unit: "kg", pairs: 1 }, { mass: 20, unit: "kg", pairs: 2 }]
    ].each { |plates| expect_refused(:put, "/api/plates", { plates: plates, version: 1 }) }
    [nil, "x", [5], ["x"], [SecureRandom.uuid] * 2, Array.new(13) { SecureRandom.uuid }].each do |clients|
      expect_refused(:put, "/api/machines/#{here[:id]}/queue", { clients: clients, version: 0 })
    end
    expect_refused(:put, "/api/machines/#{here[:id]}/queue", { clients: [] })
    [nil, "yes", 1].each do |stricter|
      expect_refused(:put, "/api/gym/cautions/back", { stricter: stricter, version: 1 })
    end
  end

  it "refuses a PIN that is none, and a tablet taken over by nobody" do
    [nil, 2468, "123", "1234567", "12 4", "abcd"].each do |pin|
      error = call(:post, "/auth/pin", { password: Given::PASSWORD, pin: pin })
      expect([status, error["path"]]).to eq([422, "/pin"])
    end
    [
      {},
      { pin: "2468" },
      { account_id: "me", pin: "2468" },
      { account_id: 0, pin: "2468" },
      { account_id: 10**12, pin: "2468" }
    ].each do |body|
      call(:post, "/auth/switch", body)
      expect(status).to be_between(400, 422), body.to_s
    end
    expect(db[:account_pins].count).to eq(0)
  end

  it "refuses a search that is no text or too long" do
    [nil, 5, "x" * 81].each { |text| expect_refused(:post, "/api/clients/search", { text: text }, at: "/text") }
    [["a"], "a", %w[a b c], ["a", "not an id"]].each do |after|
      expect_refused(:post, "/api/clients/search", { text: "", after: after })
    end
  end

  it "does not choke on a page mark that is no client" do
    call(:post, "/api/clients/search", { text: "", after: ["a", "not an id"] })
    expect(status).to eq(422)
  end

  it "refuses bodies that are no JSON, of another type, or hold what text cannot" do
    ["{", "[]", "5", '"name"', "\xFF\xFE", "{\"name\":\"a\\u0000b\"}", "{\"name\":\"a\xFFb\"}"].each do |raw|
      call(:post, "/api/clients", raw: raw)
      expect(status).to be_between(400, 422), raw.inspect
    end
    call(:post, "/api/clients", raw: '{"name":"Ada"}', type: "text/plain")
    expect(status).to eq(415)
    expect(db[:clients].count).to eq(0)
  end

  describe "that reached the database or a library once" do
    def refused(method, path, body, **given) = [call(method, path, body, **given)["code"], status]

    it "is refused: no content type, numbers beyond measure, forms that are none" do
      expect(refused(:post, "/api/clients", nil, raw: '{"name":"Ada"}', type: nil)).to eq(["wrong_content_type", 415])
      expect(refused(:post, "/api/clients/search", nil, raw: "", type: nil)).to eq(["wrong_content_type", 415])
      ['{"name":"Ada","body_mass_kg":1e999}', "{\"name\":\"Ada\",\"body_mass_kg\":#{"9" * 400}}"].each do |raw|
        expect(refused(:post, "/api/clients", nil, raw: raw)).to eq(["number_too_large", 400])
      end
      expect(refused(:post, "/auth/switch", nil, raw: "{\"account_id\":#{"7" * 25},\"pin\":\"2468\"}")).to eq(
        ["number_too_large", 400]
      )
      expect(
        refused(:post, "/auth/login", nil, raw: "--x\r\n", type: "multipart/form-data; boundary=x").last
      ).to be_between(400, 415)
      %w[[] 5 x].each { |raw| expect(refused(:get, "/api/ping", nil, raw: raw).last).to be_between(200, 422) }
    end

    it "is refused: a newline behind an id, a PIN, a date" do
      expect(refused(:get, "/api/clients/#{person[:id]}%0A", nil)).to eq(["not_found", 404])
      expect(refused(:post, "/api/fittings", { client_id: "#{person[:id]}\n", machine_id: here[:id] })).to eq(
        ["wrong_form", 422]
      )
      expect(refused(:post, "/auth/pin", { password: Given::PASSWORD, pin: "2468\n" })).to eq(["wrong_form", 422])
      expect(refused(:post, "/api/clients", { name: "Ada", birth_date: "1990-02-03\n" })).to eq(["wrong_form", 422])
    end

    it "is refused: what is nothing, or the same, once it is rounded" do
      expect(refused(:put, "/api/plates", { plates: [{ mass: 0.1, unit: "lb", pairs: 1 }], version: 1 })).to eq(
        ["out_of_range", 422]
      )
      expect(
        refused(
          :put,
          "/api/equipment",
          {
            sizes: {
              cushion_back: [20.01, 20.04],
              cushion_seat: [],
              hip_pad: [],
              block: [],
              foot_rest: [],
              mat: []
            },
            version: 1
          }
        )
      ).to eq(["repeated", 422])
      expect(refused(:post, "/api/machines/#{here[:id]}/copy", { name: " " })).to eq(["blank", 422])
    end

    it "is told as an Error of ours where another site asks" do
      header "Origin", "https://elsewhere.example"
      error = call(:post, "/api/clients", { name: "Ada" })
      expect([status, error["code"], error["message"]]).to match([403, "other_origin", /another site/])
    end
  end

  it "refuses more than anybody types" do
    call(:post, "/api/clients", { name: "x" * 70_000 })
    expect([status, db[:clients].count]).to eq([413, 0])
  end

  it "refuses a sign-in that is none, at its edge" do
    clear_cookies
    [
      "[]",
      "5",
      "null",
      "{",
      "{}",
      '{"email":5,"password":"x"}',
      '{"email":["a"],"password":"x"}',
      "{\"email\":\"\xFF\",\"password\":\"x\"}",
      '{"email":"a\u0000b","password":"x"}',
      JSON.generate({ email: "x" * 300, password: "y" }),
      "x" * 70_000
    ].each do |raw|
      call(:post, "/auth/login", raw: raw)
      expect(status).to be_between(400, 422), raw[0, 40]
      expect(JSON.parse(last_response.body)).to include("code", "path", "message")
    end
    call(:get, "/auth/login")
    expect(status).to eq(405)
  end

  it "refuses a write without a key or with a bad one" do
    [nil, "1", "x" * 500].each do |key|
      call(:post, "/api/clients", { name: "Ada" }, key: key)
      expect([status, last_response.body]).to match(
        [be_between(400, 422), include("/Idempotency-Key").or(include("key_missing"))]
      )
    end
    expect(db[:clients].count).to eq(0)
  end

  describe "another gym's" do
    let(:other) { gym("The Sail Shed") }
    let(:stranger) { staff(other, email: "ines@sailshed.example", name: "Ines") }
    let(:theirs) { client(other, stranger, name: "Secret Person", stature: 1700) }
    let(:their_machine) { machine(other) }
    let(:their_draft) do
      other
        .fittings
        .open(client_id: theirs[:id], machine_id: their_machine[:id], description_number: 1, marks: marks, by: stranger)
        .first
    end

    it "clients, machines and fittings are not there, for any method" do
      [
        [:get, "/api/clients/#{theirs[:id]}"],
        [:patch, "/api/clients/#{theirs[:id]}", { version: 1, detail: "x" }],
        [:put, "/api/clients/#{theirs[:id]}/readings/stature", { value: 170, unit: "cm", version: 1 }],
        [:delete, "/api/clients/#{theirs[:id]}/readings/stature?version=1"],
        [:get, "/api/fittings/#{their_draft[:id]}"],
        [:patch, "/api/fittings/#{their_draft[:id]}", { marks: marks, version: 1 }],
        [:post, "/api/fittings/#{their_draft[:id]}/evaluation", { marks: marks }],
        [:post, "/api/fittings/#{their_draft[:id]}/signs", { marks: marks, signs: [] }],
        [:post, "/api/fittings/#{their_draft[:id]}/acceptance", { marks: marks, version: 1 }],
        [:post, "/api/fittings/#{their_draft[:id]}/again", { marks: marks, done: {} }],
        [:post, "/api/fittings/#{their_draft[:id]}/loads", {}],
        [:post, "/api/fittings/#{their_draft[:id]}/creep", { marks: marks, creep: { marks: marks, readings: [] } }],
        [
          :post,
          "/api/fittings/#{their_draft[:id]}/stop",
          { stop_sign: "faintness", sheet: { marks: marks, version: 1 } }
        ],
        [:get, "/api/fittings/#{their_draft[:id]}/set-up"],
        [:post, "/api/fittings/#{their_draft[:id]}/set-up", {}],
        [:get, "/api/machines/#{their_machine[:id]}/queue"],
        [:put, "/api/machines/#{their_machine[:id]}/queue", { clients: [], version: 0 }],
        [:put, "/api/machines/#{here[:id]}/queue", { clients: [theirs[:id]], version: 0 }],
        [:get, "/api/clients/#{theirs[:id]}/limits"],
        [:put, "/api/clients/#{theirs[:id]}/limits/ankle", { reading: 9, version: 1 }],
        [:post, "/api/fittings/#{their_draft[:id]}/discard", { version: 1 }],
        [:post, "/api/fittings/#{their_draft[:id]}/return", { version: 1 }],
        [:post, "/api/fittings", { client_id: theirs[:id], machine_id: here[:id] }],
        [:post, "/api/fittings", { client_id: person[:id], machine_id: their_machine[:id] }],
        [:get, "/api/machines/#{their_machine[:id]}"],
        [:patch, "/api/machines/#{their_machine[:id]}", { version: 1, name: "x" }],
        [:get, "/api/machines/#{their_machine[:id]}/population"],
        [:get, "/api/machines/#{their_machine[:id]}/changes"],
        [:put, "/api/machines/#{their_machine[:id]}/lengths", { version: 1, name: "back_face", value: -480 }],
        [:post, "/api/machines/#{their_machine[:id]}/trial", { exercise: "" }],
        [:post, "/api/machines/#{their_machine[:id]}/copy", { name: "x" }]
      ].each { |method, path, body| expect_refused(method, path, body, code: "not_found") }
    end

    it "names are not found, not listed and not on the floor" do
      their_draft
      expect(call(:post, "/api/clients/search", { text: "secret" })["clients"]).to be_empty
      call(:get, "/api/floor")
      expect(last_response.body).not_to include("Secret Person")
    end
  end

  it "needs somebody signed in for every route" do
    clear_cookies
    Http::CONTRACT
      .definition
      .operations
      .reject { |operation| operation.path.start_with?("/auth/") }
      .each do |operation|
        call(
          operation.request_method.to_sym,
          operation
            .path
            .gsub(/{(id|other)}/, person[:id])
            .gsub("{observation}", "stature")
            .gsub("{question}", "belt")
            .gsub("{caution}", "knee")
            .gsub("{limit}", "ankle")
            .gsub("{gate}", "stick")
            .gsub("{account}", "1"),
          {}
        )
        expect(status).to eq(401), "#{operation.request_method} #{operation.path}"
      end
  end

  it "writes nothing personal in a log, nor a fault's message" do
    call(:post, "/api/clients", { name: "Perpetua Secret", detail: "hidden" })
    call(:post, "/api/clients", { name: "Perpetua Secret", detail: "hidden" })
    call(:post, "/api/clients/search", { text: "secret" })
    call(:get, "/api/nowhere/Perpetua%20Secret")
    call(:put, "/api/clients/#{person[:id]}/readings/floor_to_knee_top", { value: 12.3, unit: "cm", version: 1 })
    allow(Verglas::Store::Queries::SearchClients).to receive(:new).and_raise("broken for Perpetua Secret")
    expect { call(:post, "/api/clients/search", { text: "secret" }) }.to output(
      satisfy { |line| line.include?("RuntimeError") && !line.include?("Secret") }
    ).to_stderr
    expect(status).to eq(500)
    told = Http::LOG.string.lines.map { |line| JSON.parse(line).except("ms", "time").to_s }.join
    expect(told).not_to match(/secret|hidden|12\.3|perpetua/i)
    expect(Http::LOG.string.lines.size).to be >= 6
    expect(File.read(TestDatabase::CLUSTER.log)).not_to match(/Perpetua|hidden/)
  end
end
