# frozen_string_literal: true

require "web_helper"
require_relative "../support/demo_gym"
require_relative "../support/everything"
require_relative "../support/taking_in"

# Tables and archives, out and in, as whoever leads a gym takes them.
RSpec.describe "A gym's data" do
  include TakingIn
  include Everything

  tables = %w[clients readings machines marks fittings visits]

  def lead(gym, **who) = staff(gym, role: "lead", **who)
  def kept(but: [])
    everything(
      but: [
        :account_active_session_keys,
        :counters,
        :writes,
        :tablet_staff,
        :imports,
        :import_chunks,
        :import_pieces,
        :import_keys,
        *but
      ]
    )
  end
  def export(name) = call(:get, "/api/export/#{name}").then { last_response.body }

  # The demo gym, signed in as its lead.
  def loft
    DemoGym.lay(db)
    call(:post, "/auth/login", { email: "maren@netloft.example", password: Verglas::Demo::Loader::SIGN_IN[:password] })
  end

  def emptied
    super
    db[:gyms].update(name: "Nothing yet", address: "", wall_names: "number")
  end

  describe "the demo's, out and in again" do
    before { loft }

    it "is the same to the byte, with and without health notes, whoever was there before" do
      { "gym-with-health-notes.json" => true, "gym.json" => false }.each do |file, health|
        before = export(file)
        expect(JSON.parse(before)["health_notes"]).to be(health)
        emptied
        taken = take_in("gym", before)
        expect(taken.values_at("state", "code", "health_notes")).to eq(["taken", nil, health])
        expect(taken["counts"]["add"]).to be > 150
        expect(export(file)).to eq(before)
      end
    end

    it "as tables: each the same to the byte, and the same again changes nothing" do
      before = tables.to_h { |name| [name, export("#{name}.csv")] }
      emptied
      before.each { |name, text| expect(take_in(name, text)["state"]).to eq("taken"), name }
      expect(tables.to_h { |name| [name, export("#{name}.csv")] }).to eq(before)
      kept_now = kept
      before.each { |name, text| expect(take_in(name, text)["counts"].except("same").values.sum).to eq(0) }
      expect(kept.except(Sequel[:kept][:audit])).to eq(kept_now.except(Sequel[:kept][:audit]))
    end

    it "answers on every page as it did before" do
      before = export("gym-with-health-notes.json")
      client = db[:clients].where(name: "Perpetua Lowe").get(:id)
      pages = ["/api/clients/#{client}", "/api/clients/#{client}/predictions", "/api/refits", "/api/machines"]
      told = pages.to_h { |page| [page, call(:get, page)] }
      emptied
      take_in("gym", before)
      lines = ->(page) { JSON.pretty_generate(page).gsub(/"version": \d+/, "").lines }
      pages.each { |page| expect(lines.call(call(:get, page)) - lines.call(told[page])).to eq([]), page }
    end

    it "without health notes bars everybody until somebody has asked" do
      archive = export("gym.json")
      emptied
      take_in("gym", archive)
      client = db[:fittings].where(state: "accepted").get(:client_id)
      expect(call(:get, "/api/clients/#{client}/cautions")["cautions"].map { |caution| caution["name"] }).to eq(
        ["not_asked"]
      )
      predictions = call(:get, "/api/clients/#{client}/predictions")["predictions"]
      expect(predictions.map { |line| line["bars"] }).to all(include(a_string_including("until somebody has asked")))
    end

    it "holds no word of anybody's health where it was not asked for" do
      secret = "zqxjk health"
      id = db[:clients].where(name: db[:clients].get(:name)).get(:id)
      call(:put, "/api/clients/#{id}/cautions", { caution: "loose_joints", version: nil, note: secret })
      fitting =
        Verglas::Store::Sealed.columns(:fittings, { note: secret, reason: secret, cue: secret, signs: ["numb_thigh"] })
      db[:fittings].update(fitting)
      db[:visits].update(stopped: true)
      db[:sets].update(
        Verglas::Store::Sealed.columns(:sets, { how: { last: "clean", reached: 1, felt: "knee", sign: "hips_lift" } })
      )
      expect(export("gym-with-health-notes.json")).to include(secret, "loose_joints", "numb_thigh", "hips_lift")
      without = ["gym.json", *tables.map { |name| "#{name}.csv" }].map { |file| export(file) }.join
      expect(without).not_to match(
        Regexp.union(
          secret,
          *%w[loose_joints numb_thigh hips_lift],
          *%w[felt signs limits envelope wishes cautions].map { |name| "\"#{name}\"" },
          '"stopped":true'
        )
      )
      expect(db[Sequel[:kept][:audit]].select_map(:action).uniq).to include(
        "export_gym_with_health_notes",
        "export_clients"
      )
    end
  end

  describe "an archive that is not as it should be" do
    before { loft }

    let(:whole) { JSON.parse(export("gym-with-health-notes.json")) }

    def refusals(document)
      look_through("gym", JSON.generate(document)).then do |import|
        import["told"] ? import["told"].map { |row| row["column"] || row["says"] } : import["code"]
      end
    end

    it "is kept out whole, with which record and why" do
      document = whole
      emptied
      before = kept
      document["clients"][0]["sex"] = "plenty"
      document["readings"][1]["client_id"] = SecureRandom.uuid
      document["machines"][0]["family"] = "rocket"
      document["fittings"] << document["fittings"][0]
      import = look_through("gym", JSON.generate(document))
      expect(import["counts"]["refuse"]).to be > 3
      expect(import["told"].map { |row| row["says"] }).to include(
        a_string_including("not one of the choices"),
        a_string_including("family of machines"),
        a_string_matching(/\ALine \d+ of this file says the same/),
        a_string_including("points at something")
      )
      expect([take(import)["code"], kept]).to eq(["rows_refused", before])
      expect(take(import, leave_refused: true)["code"]).to eq("rows_refused")
    end

    it "takes nothing that is missing for none, nobody's word for a clinician's, and no name that the program does " \
         "not know" do
      document = whole
      emptied
      expect(look_through("gym", JSON.generate(document.except("cautions"))).values_at("code", "path")).to eq(
        %w[missing /cautions]
      )
      expect(look_through("gym", JSON.generate(document.except("readings"))).values_at("code", "path")).to eq(
        %w[missing /readings]
      )
      spoil =
        lambda do |&change|
          copy = JSON.parse(JSON.generate(document))
          change.call(copy)
          look_through("gym", JSON.generate(copy))["told"].to_a.map { |row| row["column"] }
        end
      cleared = document["cautions"].index { |caution| caution["body"]["cleared_on"] }
      expect(
        spoil.call do |copy|
          copy["cautions"][cleared]["body"].merge!(
            "cleared_on" => nil,
            "cleared_by" => "",
            "degrees" => {
              "knee_flexion" => [0, 140]
            }
          )
          copy["clients"][0]["limits"] = { "wingspan" => { "deg" => 1 } }
          copy["fittings"][0]["signs"] = ["wings"]
          copy["sets"][0]["how"]["sign"] = "wings"
          copy["equipment"][0]["kind"] = "wings"
          copy["tempos"][0]["family"] = "wings"
        end
      ).to match_array(
        %w[/cautions/cleared_by /clients/limit /fittings/signs /sets/how/sign /equipment/kind /tempos/family]
      )
      expect(
        spoil.call do |copy|
          copy["cautions"][cleared]["body"].merge!("cleared_on" => nil, "load_to_kg" => 90)
          copy["tempos"][0]["slow_deg"] = nil
        end
      ).to match_array(%w[/cautions/cleared_on /tempos/tempo])
      expect(
        spoil.call do |copy|
          copy["cautions"][cleared]["body"]["degrees"] = { "wing_flexion" => [0, 9] }
          copy["tempos"][0].merge!("slow_s" => 2.0, "slow_deg" => 15, "up_s" => 2.0)
        end
      ).to match_array(%w[/cautions/degrees/wing_flexion /tempos/tempo])
    end

    it "that points at nobody, at no description and at nothing that was told, or speaks no language, is refused " \
         "with where" do
      document = whole
      emptied
      places =
        lambda do |&change|
          copy = JSON.parse(JSON.generate(document))
          change.call(copy)
          look_through("gym", JSON.generate(copy)).then do |import|
            if import["told"]
              import["told"].map { |row| [row["column"], row["says"]] }
            else
              import.values_at("path", "code")
            end
          end
        end
      accepted = document["fittings"].index { |fitting| fitting["state"] == "accepted" }
      nowhere = [["", "This points at something that is not in the archive."]]
      expect(places.call { |copy| copy["fittings"][accepted]["description_number"] = 99 }).to eq(nowhere)
      expect(places.call { |copy| copy["machines"][0]["description_number"] = 99 }).to eq(nowhere)
      expect(places.call { |copy| copy["queues"][0]["clients"] = [SecureRandom.uuid] }).to eq(nowhere)
      expect(
        places.call do |copy|
          copy["visits"][0]["fitting_id"] = copy["fittings"].find do |one|
            one["client_id"] != copy["visits"][0]["client_id"]
          end[
            "id"
          ]
        end
      ).to eq(nowhere)
      expect(
        places.call { |copy| copy["fittings"][accepted]["result"] = { "format" => 2, "findings" => [{}] } }
      ).to match([[start_with("/fittings/result/findings/0"), "This is missing."]])
      expect(places.call { |copy| copy["fittings"][accepted]["result"] = nil }).to eq(
        [["/fittings/accepted_at", "This is missing."]]
      )
      expect(places.call { |copy| copy["fittings"][accepted]["marks"] = { "wings" => "3" } }).to match(
        [["/fittings/marks", "This machine has no wings."]]
      )
      twice =
        places.call do |copy|
          copy["machine_descriptions"][0]["adjusters"].then { |adjusters| adjusters << adjusters.first }
        end
      expect(twice).to include(
        [
          "/machine_descriptions/adjusters",
          "Two adjusters of one machine cannot have the same name. Nothing was changed."
        ]
      )
      expect(places.call { |copy| copy["gym"]["locale"] = "x-" }).to eq(%w[/locale wrong_form])
    end

    it "whose ids another gym has is refused in words" do
      document = whole
      staff(gym("Elsewhere"), email: "lead@elsewhere.example").then do |id|
        db[:accounts].where(id: id).update(role: "lead")
      end
      sign_in(email: "lead@elsewhere.example")
      import = look_through("gym", JSON.generate(document))
      expect(import["told"].map { |row| row["says"] }).to include("Something else here has this id already.")
      expect(take(import)["code"]).to eq("rows_refused")
    end

    it "is taken from a time before there were tempos, and then has none" do
      document = whole
      expect(document["tempos"].map { |row| row["family"] }).to eq(["curl"])
      emptied
      expect(take_in("gym", JSON.generate(document.except("tempos").merge("version" => 1)))["state"]).to eq("taken")
      expect(JSON.parse(export("gym-with-health-notes.json"))).to eq(document.merge("tempos" => []))
    end

    it "goes into an empty gym alone" do
      expect(look_through("gym", JSON.generate(whole))["code"]).to eq("gym_not_empty")
    end

    it "whose parts stand in another order, of another version, or that is none" do
      document = whole
      emptied
      expect(look_through("gym", JSON.generate(document.to_a.reverse.to_h))["code"]).to eq("section_out_of_order")
      expect(look_through("gym", JSON.generate(document.merge("version" => 9)))["code"]).to eq("no_archive")
      expect(look_through("gym", JSON.generate(document.merge("more" => [{}])))["code"]).to eq("unknown_field")
      expect(look_through("gym", "{\"format\":")["code"]).to eq("not_json")
    end
  end

  describe "people from a spreadsheet" do
    let(:gym_here) { gym }
    let!(:by) { lead(gym_here) }

    before { sign_in }

    def clients = gym_here.clients.dataset.order(:name).all.map { |row| Verglas::Store::Sealed.open(:clients, row) }

    def people = clients.map { |row| [row[:name], row[:detail], row[:body_mass_kg]&.to_f, row[:birth_date]&.iso8601] }

    it "with readings beside them, in its own letters, separators and units" do
      text =
        "Full name;Told apart by;Weight (lb);Height (in);Born\r\nJos\xE9 P\xE9rez;;158;64,9;31.5.1990\r\nAda " \
          "Lowe;ferry;;;\r\n".b
      import = look_through("clients", text)
      expect(import.values_at("state", "rows", "encoding", "counts")).to eq(
        ["checked", 2, "Windows-1252", { "add" => 2, "change" => 0, "same" => 0, "refuse" => 0 }]
      )
      expect(take(import)["state"]).to eq("taken")
      expect(
        clients.map { |row| [row[:name], row[:detail], row[:body_mass_kg]&.to_f, row[:birth_date]&.iso8601] }
      ).to eq([["Ada Lowe", "ferry", nil, nil], ["José Pérez", "", 71.67, "1990-05-31"]])
      expect(db[:readings].select_map(%i[observation value_mm]).map { |name, value| [name, value.to_f] }).to eq(
        [["stature", 1648.5]]
      )
    end

    it "tells what becomes what, and who is called so already" do
      client(gym_here, by, name: "Ada Lowe", detail: "ferry crew", sex: "woman", body_mass_kg: 61, stature: 1650)
      file = "name,detail,body_mass_kg,stature\nAda Lowe,ferry crew,64,166\nAda Lowe,the baker,,\nUna Quill,,,\n"
      expect(told(look_through("clients", file))).to eq(
        [
          [2, "change", nil, "Body mass, kg: 61 becomes 64. Height: 165 cm becomes 166 cm."],
          [3, "add", nil, "One client is called Ada Lowe already. Is it the same person?"]
        ]
      )
    end

    it "tells row by row what would be added, changed, left and refused, and writes nothing before it is taken in" do
      client(gym_here, by, name: "Ada Lowe", stature: 1650)
      client(gym_here, by, name: "Bo Tarn")
      before = kept
      import =
        look_through(
          "clients",
          "name,sex,stature\nEva Lund,,\nada löwe,woman,165\nBo Tarn,,\nCy Fell,plenty,\nDi Marsh,,90\n,man,\n"
        )
      expect(import["counts"]).to eq({ "add" => 1, "change" => 1, "same" => 1, "refuse" => 3 })
      heights = "Heights from 120 cm to 230 cm can be fitted. Read again; nothing was changed."
      expect(told(import)).to eq(
        [
          [5, "refuse", "/sex", "This is not one of the choices."],
          [6, "refuse", "/value", heights],
          [7, "refuse", "/name", "This is missing."],
          [3, "change", nil, "Sex: nothing becomes woman."]
        ]
      )
      expect(kept).to eq(before)
      expect([take(import)["code"], kept]).to eq(["rows_refused", before])
      take(import, leave_refused: true)
      expect(clients.map { |row| [row[:name], row[:sex]] }).to eq(
        [["Ada Lowe", "woman"], ["Bo Tarn", nil], ["Eva Lund", nil]]
      )
    end

    it "bars whoever is added until somebody has asked, where that is said" do
      client(gym_here, by, name: "Bo Tarn")
      take_in("clients", "name\nAda Lowe\nBo Tarn\n", until_asked: true)
      cautions = clients.to_h { |row| [row[:name], gym_here.cautions.of(row[:id]).map { |caution| caution[:caution] }] }
      expect(cautions).to eq({ "Ada Lowe" => ["not_asked"], "Bo Tarn" => [] })
    end

    it "refuses what stands twice, a namesake nobody can tell apart, and an id of somebody else's" do
      elsewhere = gym("Elsewhere")
      theirs = client(elsewhere, lead(elsewhere, email: "spy@elsewhere.example"), name: "Zoe Quay")
      mine = client(gym_here, by, name: "Ada Lowe")
      text =
        "id,name,detail\n,Bo Tarn,\n,bo tárn,\n#{theirs[:id]},Zoe Quay,\n#{SecureRandom.uuid},Ada " \
          "Lowe,\n#{mine[:id]},Ada Lowe-Fell,\n"
      import = look_through("clients", text)
      expect(told(import).map { |line, action, column, _| [line, action, column] }).to eq(
        [[3, "refuse", ""], [4, "refuse", "/id"], [5, "refuse", "/detail"], [6, "change", nil]]
      )
      take(import, leave_refused: true)
      expect(clients.map { |row| row[:name] }).to eq(["Ada Lowe-Fell", "Bo Tarn"])
    end

    it "is checked again when it is taken in: what was changed meanwhile keeps all of it out" do
      import = look_through("clients", "name,detail\nAda Lowe,ferry\nBo Tarn,\n")
      client(gym_here, by, name: "Bo Tarn", sex: "man")
      expect(take(import)["counts"]).to include("add" => 1, "same" => 1)
      other = look_through("clients", "id,name\n#{SecureRandom.uuid},Cy Fell\n")
      client(gym_here, by, name: "Cy Fell")
      before = kept
      expect([take(other)["code"], kept]).to eq(["rows_refused", before])
    end

    it "keeps a later reading, and takes an earlier one's place" do
      ada = client(gym_here, by, name: "Ada Lowe", stature: 1650)
      old = "client,reading,value,taken_at\nAda Lowe,height,166,1.3.2020\n"
      expect(told(look_through("readings", old))).to eq(
        [[2, "refuse", "/taken_at", "There is a later reading already."]]
      )
      take_in(
        "readings",
        "client_id,reading,value,taken_at\n#{ada[:id]},stature,1.66 " \
          "m,#{(Time.now + 60).utc.iso8601}\n#{ada[:id]},seat_to_kneecap,22.5 in,\n"
      )
      expect(
        db[:readings].order(:observation).select_map(%i[observation value_mm]).map { |name, value| [name, value.to_f] }
      ).to eq([["seat_to_kneecap", 571.5], ["stature", 1660.0]])
    end
  end

  describe "machines, fittings and visits from a spreadsheet" do
    let(:gym_here) { gym }
    let!(:by) { lead(gym_here) }
    let!(:here) { machine(gym_here, "slide_back", name: "Leg extension 1", code: "E1") }
    let!(:ada) { client(gym_here, by, name: "Ada Lowe", stature: 1650, seat_to_kneecap: 580) }
    let(:fittings) { "client,machine,marks,date,load\nAda Lowe,e1,back pad=3; roller=C; start=2,1.3.2026,20 kg\n" }

    before { sign_in }

    it "a fitting from paper stands on card, history and set-up, and nothing is computed for it" do
      expect(take_in("fittings", fittings)["state"]).to eq("taken")
      page = call(:get, "/api/clients/#{ada[:id]}")
      line = page["card"].find { |one| one["machine"]["id"] == here[:id] }
      expect(line["accepted"]).to include("load" => "20 kg")
      id = line["accepted"]["id"]
      [
        ["/api/fittings/#{id}", 200],
        ["/api/fittings/#{id}/set-up", 200],
        ["/api/fittings/#{id}/progress", 200],
        ["/api/refits", 200],
        ["/api/machines/#{here[:id]}", 200],
        ["/api/clients/#{ada[:id]}/predictions", 200],
        ["/api/board", 200]
      ].each do |path, code|
        call(:get, path)
        expect([path, status]).to eq([path, code])
      end
      expect(last_response.body).not_to include("null,null,null,null")
    end

    it "is refused where an adjuster is missing, a mark is none, the day lies ahead, or the machine is not there" do
      rows = [
        "Ada Lowe,e1,back pad=3; roller=C,1.3.2026",
        "Ada Lowe,e1,back pad=99; roller=C; start=2,1.3.2026",
        "Ada Lowe,e1,back pad=3; roller=C; start=2,1.3.2090",
        "Ada Lowe,e9,back pad=3,1.3.2026",
        "Nobody,e1,back pad=3,1.3.2026",
        "Ada Lowe,e1,back pad=3; roller=C; start=2; belt=1,1.3.2026"
      ]
      import = look_through("fittings", "client,machine,marks,date\n#{rows.join("\n")}\n")
      expect(import["told"].map { |row| [row["line"], row["column"]] }).to eq(
        [[2, "/marks"], [3, "/marks"], [4, "/accepted_at"], [5, "/machine"], [6, "/client"], [7, "/marks"]]
      )
    end

    it "a set hangs on the fitting that stood then, counts for no more than it says, and sends back where it did" do
      take_in("fittings", fittings)
      sets =
        "client,machine,date,load,reps,last,range,counts\nAda Lowe,E1,2.3.2026,20,10,clean,1,\nAda " \
          "Lowe,E1,2.3.2026,20,10,easy,1,back\nAda Lowe,E1,2.3.2026,20,10,easy,0.5,clean\n"
      expect(take_in("visits", sets)["counts"]).to include("add" => 3)
      expect(db[:sets].order(:number).select_map(%i[number clean sends_back])).to eq(
        [[1, true, false], [2, false, true], [3, false, true]]
      )
      fitting = db[:visits].get(:fitting_id)
      call(:get, "/api/fittings/#{fitting}/progress")
      expect(status).to eq(200)
    end

    it "a set where nobody was ever fitted is refused" do
      expect(
        look_through("visits", "client,machine,date,reps\nAda Lowe,E1,2.3.2026,10\n")["told"].first["says"]
      ).to include("no accepted fitting")
    end

    it "marks of a machine are described anew, checked as if they were typed; one row that is wrong keeps its " \
         "machine as it is" do
      marks = ("A".."D").each_with_index.map { |mark, n| "E1,roller,#{mark},#{n * 30},roller_reach=1" }
      good = ["machine,adjuster,mark,travel,moves", *marks, ""].join("\n")
      import = look_through("marks", good)
      expect([import["counts"]["change"], take(import)["state"]]).to eq([4, "taken"])
      now = gym_here.machines.find(here[:id])[:adjusters].to_a.find { |adjuster| adjuster["label"] == "roller" }
      expect(now.slice("marks", "travel", "drives")).to eq(
        { "marks" => %w[A B C D], "travel" => [0, 30, 60, 90], "drives" => { "roller_reach" => 1 } }
      )
      bad = good.sub(",90,", ",60,")
      expect(look_through("marks", bad)["counts"]).to include("refuse" => 4)
      expect(look_through("marks", good.gsub("roller_reach", "rocket"))["counts"]).to include("refuse" => 4)
      torn = look_through("marks", good.sub("E1,roller,B,30", "E1,roller,,30"))
      expect([torn["counts"].values_at("change", "refuse"), take(torn, leave_refused: true)["code"]]).to eq(
        [[3, 1], "rows_refused"]
      )
    end

    it "a machine with its lengths, refused where one is out of range or the loading makes no sense" do
      lengths =
        "pivot_above_seat=66; back_face=-491; seat_edge=-56; roller_reach=318; roller_radius=50; start_angle=98; " \
          "end_angle=-8"
      text = ->(of, loading = "") do
        "name,family,lengths,loading\nNew one,extension,#{of},\"#{loading.gsub('"', '""')}\"\n"
      end
      expect(told(look_through("machines", text.call("pivot_above_seat=99999"))).first.first(3)).to eq(
        [2, "refuse", "/lengths"]
      )
      expect(told(look_through("machines", text.call(lengths, '{"kind":5}'))).first.first(3)).to eq(
        [2, "refuse", "/loading/kind"]
      )
      take_in("machines", text.call(lengths, '{"kind":"stack","unit":"kg","masses":[5,10]}'))
      added = gym_here.machines.all.find { |row| row[:name] == "New one" }
      expect(added[:constants].to_h["back_face"]).to eq(-491.0)
      call(:get, "/api/machines/#{added[:id]}")
      expect(status).to eq(200)
    end
  end

  describe "who may" do
    it "nobody but whoever leads the gym, and of their own gym" do
      loft = gym
      by = staff(loft)
      sign_in
      %w[clients.csv gym.json gym-with-health-notes.json].each do |file|
        expect([export(file).then { status }, file]).to eq([403, file])
      end
      expect(
        [call(:post, "/api/imports", { kind: "clients", bytes: 4, length_unit: "cm", mass_unit: "kg" })["code"], status]
      ).to eq(["lead_only", 403])
      import = loft.imports.insert(kind: "clients", bytes: 4, units: {}, by: by)[:id]
      elsewhere = gym("Elsewhere")
      lead(elsewhere, email: "spy@elsewhere.example")
      sign_in(email: "spy@elsewhere.example")
      expect([call(:get, "/api/imports/#{import}")["code"], call(:post, "/api/imports/#{import}/step")["code"]]).to eq(
        %w[not_found not_found]
      )
    end

    it "nobody lets a file go while another takes it in" do
      lead(gym)
      sign_in
      import = look_through("clients", "name\nAda\n")
      held =
        Thread.new do
          Sequel.connect(ENV.fetch("DATABASE_URL"), test: true) do |other|
            other.transaction(rollback: :always) do
              other[:imports].where(id: import["id"]).for_update.first
              Thread.current[:holds] = true
              sleep 0.05 until Thread.current[:enough]
            end
          end
        end
      sleep 0.02 until held[:holds]
      expect([call(:post, "/api/imports/#{import["id"]}/removal")["code"], status]).to eq(["import_held", 409])
      held[:enough] = true
      held.join
      expect(call(:post, "/api/imports/#{import["id"]}/removal")).to eq("ok" => true)
    end

    it "a file that would keep everybody waiting is refused, in seconds" do
      lead(gym)
      sign_in
      files = {
        "clients" => ["name\n#{"\n" * 2_000_000}", "name\n#{"," * 2_000_000}"],
        "gym" => [
          "{\"clients\":[{#{Array.new(120_000) { |number| "\"k#{number}\":1" }.join(",")}}]}",
          "{\"clients\":[{\"a\":[#{"1," * 200_000}1]}]}",
          "{\"clients\":[{\"a\":#{"9" * 2_000_000}}]}"
        ]
      }
      codes = files.flat_map { |kind, texts| texts.map { |text| look_through(kind, text)["code"] } }
      expect(codes).to eq(%w[too_many_rows too_many_cells record_too_large record_too_large not_json])
    end

    it "what is on its way lies encrypted, and nothing of it is left once it was taken in or let go" do
      lead(gym)
      sign_in
      import = look_through("clients", "name,detail\nSecret Zqxjk,Zqxjk\n")
      expect(db[:import_keys].select_map(:key)).to match([/\A\h{64}\z/])
      expect(%i[import_chunks import_pieces import_keys].flat_map { |table| db[table].all }.join).not_to match(/Zqxjk/i)
      expect(db[:import_chunks].count).to eq(0)
      take(import)
      expect(%i[import_pieces import_keys].sum { |table| db[table].count }).to eq(0)
      other = look_through("clients", "name\nAda\n")
      call(:post, "/api/imports/#{other["id"]}/removal")
      expect(call(:get, "/api/imports/#{other["id"]}")["code"]).to eq("not_found")
      db[:imports].update(made_at: Time.now - (25 * 3600))
      Verglas::Store::Upkeep.now(db)
      expect(db[:imports].count).to eq(0)
    end
  end
end
