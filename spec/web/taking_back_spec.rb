# frozen_string_literal: true

require "web_helper"

# What was seen outranks what was computed; what was accepted by mistake is taken back; what stands from last time is
# told.
RSpec.describe "Seen, taken back and told, over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:here) { machine(loft, "curl_plain", name: "Leg curl 1") }
  let(:person) { matteus(loft, account, thigh_depth: 150) }
  let(:id) { opened }
  let(:path) { "/api/fittings/#{id}" }
  let(:work) do
    {
      load_kg: nil,
      left_kg: nil,
      right_kg: nil,
      repetitions: 10,
      sets: 2,
      last: nil,
      felt: nil,
      felt_side: nil,
      belt: nil
    }
  end

  before { sign_in }

  def opened(machine = here) = call(:post, "/api/fittings", { client_id: person[:id], machine_id: machine[:id] })["id"]

  def accept(id, **fields)
    page = call(:get, "/api/fittings/#{id}")
    call(:post, "/api/fittings/#{id}/acceptance", { marks: page["marks"], version: page["version"], **fields })
  end

  def shown = call(:get, "/api/clients/#{person[:id]}")
  def take_back(id, version, reason = "Wrong client")
    call(:post, "/api/fittings/#{id}/taking-back", { version: version, reason: reason })
  end

  describe "what was seen" do
    it "accepts nothing while the pad is seen on the kneecap or a thigh is numb, however well the numbers fit, nor " \
         "with a reason" do
      %w[pad_on_kneecap numb_thigh].each do |sign|
        refused = accept(id, signs: [sign], reason: "She wants it.")
        expect([status, refused["code"]]).to eq([422, "seen_#{sign}"])
      end
      call(:patch, path, { marks: call(:get, path)["marks"], version: 1, signs: ["numb_thigh"] })
      expect(accept(id)["code"]).to eq("seen_numb_thigh") # as it lies in the draft, not sent again
      expect(accept(id, signs: [])["state"]).to eq("accepted")
    end

    it "accepts nothing that is felt in a joint: the exercise stops for today, and says so" do
      expect(accept(id, work: { **work, felt: "joint" })["code"]).to eq("joint_pain")
      stopped =
        call(
          :post,
          "#{path}/stop",
          { stop_sign: "joint_pain", sheet: { marks: call(:get, path)["marks"], version: 1 } }
        )
      expect(stopped).to include("state" => "stopped", "stop_sign" => "joint_pain")
      expect(shown["history"].first["stopped"]).to eq("Pain in a joint")
    end

    it "knows no stop sign that is none" do
      refused =
        call(:post, "#{path}/stop", { stop_sign: "hiccups", sheet: { marks: call(:get, path)["marks"], version: 1 } })
      expect(refused).to include("code" => "not_allowed", "path" => "/stop_sign")
    end

    it "learns nothing from a fitting on which such a sign stood" do
      accept(id, knee_off_mm: 0, roller_seen: true)
      expect(shown["learned"].size).to eq(1)
      db[:fittings].where(id: id).update(Verglas::Store::Sealed.columns(:fittings, { signs: ["pad_on_kneecap"] }))
      Verglas::Application::Kept.shared.empty
      expect(accept(opened)["state"]).to eq("accepted")
      db[:fittings].exclude(id: id).delete
      expect(call(:get, "/api/fittings/#{opened}")["advice"]["learned"]).to be_empty
    end
  end

  describe "taking back what was accepted by mistake" do
    it "leaves the card, unlearns what it taught, and stays in the history with who and why, encrypted" do
      first = accept(id)
      wrong = opened
      accept(wrong, knee_off_mm: 6, roller_seen: true, work: { **work, load_kg: nil })
      expect([shown["card"].first["accepted"]["id"], shown["learned"].size]).to eq([wrong, 1])
      expect(take_back(wrong, 2, " ")).to include("code" => "taking_back_unexplained", "path" => "/reason")
      expect([take_back(wrong, 7)["current"]["state"], status]).to eq(["accepted", 409])
      expect(take_back(wrong, 2, "Wrong client")).to include("state" => "taken_back")
      page = shown
      expect([page["card"].first["accepted"]["id"], page["learned"]]).to eq([first["id"], []])
      expect(page["history"].map { |line| line["taken_back"]&.fetch("reason") }).to contain_exactly("Wrong client", nil)
      expect(call(:get, "/api/fittings/#{wrong}")["taken_back"]).to include(
        "reason" => "Wrong client",
        "by" => "Maren Oldcastle"
      )
      expect(db[:fittings].where(id: wrong).get(:taken_back_cipher)).not_to include("Wrong")
    end

    it "takes nothing back twice, nor what was never accepted, nor another gym's" do
      expect(take_back(id, 1)["code"]).to eq("stale")
      accept(id)
      take_back(id, 2)
      expect([take_back(id, 3)["code"], status]).to eq(["fitting_closed", 409])
      other = gym("The Sail Shed")
      staff(other, email: "ines@sailshed.example")
      sign_in(email: "ines@sailshed.example")
      expect(take_back(id, 3)["code"]).to eq("not_found")
    end

    it "sets nobody up from it, and keeps the description that it rests on" do
      accept(id)
      take_back(id, 2)
      expect(call(:get, "#{path}/set-up")["code"]).to eq("not_found")
      loft.machines.update(
        here[:id],
        version: 1,
        by: account,
        description: {
          constants: here[:constants].to_h.merge("roller_reach" => 330),
          adjusters: here[:adjusters].to_a,
          exercises: {
          },
          taped: {
          }
        }
      )
      expect(
        db[:machine_descriptions]
          .where(machine_id: here[:id])
          .order(:number)
          .map { |row| row[:constants]["roller_reach"] }
      ).to eq([here[:constants]["roller_reach"], 330])
    end
  end

  describe "what is told" do
    it "finds a discarded fitting again for its week, from client and floor; one that was never touched is no loss" do
      call(:post, "#{path}/discard", { version: 1 })
      expect([shown["discarded"], call(:get, "/api/floor")["discarded"]]).to eq([[], []])
      again = opened
      call(
        :patch,
        "/api/fittings/#{again}",
        { marks: call(:get, "/api/fittings/#{again}")["marks"], version: 1, note: "Half done" }
      )
      call(:post, "/api/fittings/#{again}/discard", { version: 2 })
      expect(
        [shown["discarded"], call(:get, "/api/floor")["discarded"]].map do |lines|
          lines.map { |line| line.values_at("id", "machine_name") }
        end
      ).to all(eq([[again, "Leg curl 1"]]))
      db[:fittings].update(updated_at: Time.now - (8 * 86_400))
      expect(shown["discarded"]).to be_empty
    end

    it "says on the card that a length was read since somebody was fitted, until they are fitted again" do
      accept(id)
      expect(shown["card"].first["accepted"]["remeasured"]).to be(false)
      loft.readings.put(
        client_id: person[:id],
        observation: "knee_to_ankle",
        value_mm: 440,
        unit: "cm",
        confirmed: false,
        taken_by: account
      )
      expect(shown["card"].first["accepted"]["remeasured"]).to be(true)
      accept(opened)
      expect(shown["card"].first["accepted"]["remeasured"]).to be(false)
    end

    it "says in one line what stands from last time, what is advised today and why they differ" do
      accept(id, marks: call(:get, path)["marks"].merge("roller" => "A"), reason: "It suits.")
      expect(call(:get, "/api/fittings/#{opened}")["since"]).to match(
        /\ALast time: roller A\. Today: roller [B-E], because last time it was set otherwise than advised\.\z/
      )
      loft.readings.put(
        client_id: person[:id],
        observation: "knee_to_ankle",
        value_mm: 440,
        unit: "cm",
        confirmed: false,
        taken_by: account
      )
      expect(call(:get, "/api/fittings/#{opened}")["since"]).to end_with("a length was read since.")
    end

    it "says of a card's row that it is barred, and why, instead of offering a fitting" do
      here
      call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "knee", version: nil })
      expect(shown["machines"].first["lines"].first["bars"]).to eq(
        ["Knee pain or injury: this machine is not advised until a clinician has cleared it."]
      )
    end
  end

  describe "two exercises of one station, written at once" do
    let(:station) { machine(loft, "shared_seat", name: "Leg station 1") }

    it "ends neither in a deadlock nor in the other's conflict, twenty times over" do
      ids =
        %w[extension curl].map do |exercise|
          call(:post, "/api/fittings", { client_id: person[:id], machine_id: station[:id], exercise: exercise })["id"]
        end
      seats = station[:adjusters].first["marks"]
      failures = []
      20.times do |round|
        ids
          .map
          .with_index do |one, index|
            Thread.new do
              db.transaction do
                loft.fittings.hold(one)
                row = loft.fittings.find(one)
                changed =
                  loft.fittings.save(
                    one,
                    version: row[:version],
                    marks: row[:marks].to_h.merge("back pad" => seats[(round + index) % seats.size]),
                    by: account
                  )
                loft.fittings.share(changed, changed[:marks].to_h.slice("back pad"), by: account)
              end
            rescue StandardError => e
              failures << e.class
            end
          end
          .each(&:join)
      end
      expect(failures).to be_empty
      expect(ids.map { |one| loft.fittings.find(one)[:marks]["back pad"] }.uniq.size).to eq(1)
    end
  end
end
