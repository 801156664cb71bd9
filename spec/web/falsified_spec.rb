# frozen_string_literal: true

require "web_helper"

# What a record rests on does not change under it, and nobody overwrites what they have not seen.
RSpec.describe "Nothing falsified" do
  let(:loft) { gym }
  let!(:maren) { staff(loft, role: "lead") }
  let(:here) { machine(loft) }
  let(:person) { client(loft, maren, name: "Perpetua Lowe", seat_to_kneecap: 564) }
  let(:page) { call(:get, "/api/fittings/#{@fitting}") } # rubocop:disable RSpec/InstanceVariable

  # Every request of a thread of its own, signed in once.
  def cookie = @cookie ||= rack_mock_session.cookie_jar.for(URI("http://localhost/"))

  def ask(method, path, body)
    env = {
      "CONTENT_TYPE" => "application/json",
      "HTTP_COOKIE" => cookie,
      "HTTP_IDEMPOTENCY_KEY" => SecureRandom.uuid,
      :input => JSON.generate(body)
    }
    answer = Rack::MockRequest.new(app).request(method.to_s.upcase, "http://localhost#{path}", env)
    [answer.status, JSON.parse(answer.body), answer.headers]
  end

  # Somebody writes in a transaction that is not yet over; meanwhile the block's answer is waited for, in vain; then it
  # ends.
  def while_written(writing, &block)
    begun = Queue.new
    over = Queue.new
    writer = Thread.new { db.transaction { writing.call.tap { (begun << true) && over.pop } } }
    begun.pop
    asked = Thread.new(&block)
    expect(asked.join(0.4)).to be_nil, "the answer did not wait"
    over << true
    writer.join
    asked.value
  end

  before do
    sign_in
    @fitting = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    cookie
  end

  def accept
    ask(
      :post,
      "/api/fittings/#{page["id"]}/acceptance",
      { marks: page["marks"], version: page["version"], reason: "It suits." }
    )
  end
  def record = call(:get, "/api/fittings/#{page["id"]}")

  describe "while something is accepted" do
    before { page }

    it "a caution that bars is waited for, and stops it" do
      status, refused =
        while_written(-> { loft.cautions.put(person[:id], "heart", version: nil, by: maren, note: "") }) { accept }
      expect([status, refused["code"], loft.fittings.find(page["id"])[:state]]).to eq([422, "barred", "draft"])
    end

    it "a length that is taped is waited for, and stands in what the record was computed from" do
      tape =
        lambda do
          loft.clients.touch(person[:id], version: 1)
          loft.readings.put(
            client_id: person[:id],
            observation: "seat_to_kneecap",
            value_mm: 575,
            unit: "cm",
            confirmed: false,
            taken_by: maren
          )
        end
      status, = while_written(tape) { accept }
      expect(status).to eq(200)
      expect(record["computed_from"]["readings"].map { |reading| reading["value_mm"] }).to eq([575.0])
    end

    it "a machine that is taped, a rule that is chosen and a rule of the client's own are waited for" do
      described = { constants: here[:constants].to_h, adjusters: here[:adjusters].to_a, exercises: {}, taped: {} }
      [
        -> { loft.machines.update(here[:id], version: 1, by: maren, description: described) },
        -> { loft.revise(:rules, version: 1) { loft.rules.set("extension_roller", "hand_above", by: maren) } },
        -> do
          loft
            .clients
            .revise_rules(person[:id], version: 1) do
              loft.rules.set_for_client(person[:id], "extension_end", "just_short", reason: "", by: maren)
            end
        end
      ].each do |write|
        while_written(write) do
          ask(:post, "/api/fittings/#{page["id"]}/acceptance", { marks: page["marks"], version: 99 })
        end
      end
      expect(accept.first).to eq(200)
      expect(record["computed_from"]["rules"].to_h { |rule| rule.values_at("question", "school") }).to include(
        "extension_roller" => "hand_above",
        "extension_end" => "just_short"
      )
    end
  end

  it "leaves the description on which a stopped fitting rests as it was" do
    ask(
      :post,
      "/api/fittings/#{page["id"]}/stop",
      { stop_sign: "faintness", sheet: { marks: page["marks"], version: 1 } }
    )
    before = db[:machine_descriptions].where(machine_id: here[:id], number: 1).get(Sequel.cast(:constants, :text))
    expect(
      ask(
        :put,
        "/api/machines/#{here[:id]}/lengths",
        { name: "back_face", value: -601, version: 1, confirmed: true }
      ).first
    ).to eq(200)
    expect(db[:machine_descriptions].where(machine_id: here[:id], number: 1).get(Sequel.cast(:constants, :text))).to eq(
      before
    )
    expect(loft.machines.find(here[:id])[:number]).to eq(2)
  end

  describe "two who write at once" do
    writes = {
      "/api/equipment" => {
        sizes: {
          cushion_back: [20],
          cushion_seat: [],
          hip_pad: [],
          block: [],
          foot_rest: [],
          mat: []
        }
      },
      "/api/plates" => {
        plates: [{ mass: 20, unit: "kg", pairs: 2 }]
      },
      "/api/rules/extension_roller" => {
        school: "hand_above"
      },
      "/api/gym/cautions/back" => {
        stricter: true
      },
      "/api/clients/ID/rules/extension_end" => {
        school: "just_short"
      }
    }
    writes.each do |path, body|
      it "at #{path}: one is kept, the other is shown what stands there" do
        path = path.sub("ID", person[:id])
        answers = Array.new(2) { Thread.new { ask(:put, path, { **body, version: 1 }) } }.map(&:value)
        expect(answers.map(&:first)).to contain_exactly(200, 409)
        kept, refused = answers.sort_by(&:first).map { |answer| answer[1] }
        expect(refused).to include("code" => "stale", "current" => kept)
        expect(ask(:put, path, { **body, version: 2 }).first).to eq(200)
      end
    end

    it "never answer with a fault, however often cushions and plates are replaced" do
      answers =
        Array.new(4) do |thread|
          Thread.new do
            Array.new(10) do |round|
              version = loft.versions[:equipment]
              [
                ask(
                  :put,
                  "/api/equipment",
                  {
                    sizes: {
                      cushion_back: [thread + 1, round + 20],
                      cushion_seat: [],
                      hip_pad: [],
                      block: [],
                      foot_rest: [],
                      mat: []
                    },
                    version: version
                  }
                ).first,
                ask(
                  :put,
                  "/api/plates",
                  { plates: [{ mass: thread + 1, unit: "kg", pairs: 1 }], version: loft.versions[:plates] }
                ).first
              ]
            end
          end
        end
      expect(answers.flat_map(&:value).flatten.uniq - [200, 409]).to eq([])
      expect(loft.equipment.sizes["cushion_back"].size).to eq(2)
    end

    it "and wait for one another in a ring are both done: who gives way begins again" do
      other = client(loft, maren, name: "Ione Fairweather")
      tries = Queue.new
      threads =
        [[person, other], [other, person]].each_with_index.map do |pair, index|
          Thread.new do
            Verglas::Store::Writes
              .new(db, account_id: maren)
              .once(SecureRandom.uuid, "ring #{index}") do
                tries << index
                loft.clients.hold_to_write(pair.first[:id])
                sleep 0.3
                loft.clients.hold_to_write(pair.last[:id])
                [200, "{}"]
              end
          end
        end
      expect(threads.map { |thread| thread.value.first }).to eq([200, 200])
      expect(tries.size).to be > 2
    end
  end

  it "says that it is busy, and when to come again, where somebody writes for too long" do
    begun = Queue.new
    over = Queue.new
    writer =
      Thread.new { db.transaction { loft.clients.hold_to_write(person[:id]).tap { (begun << true) && over.pop } } }
    begun.pop
    status, refused, headers = ask(:patch, "/api/clients/#{person[:id]}", { version: 1, detail: "the rower" })
    over << true
    writer.join
    expect([status, refused["code"], headers["retry-after"].to_i]).to match([503, "busy", be_positive])
    expect(ask(:patch, "/api/clients/#{person[:id]}", { version: 1, detail: "the rower" }).first).to eq(200)
  end

  it "forgets kept answers and counts when their time is over, while the server runs" do
    ask(:patch, "/api/clients/#{person[:id]}", { version: 1, detail: "the rower" })
    db[:writes].update(created_at: Time.now - (25 * 3600))
    Verglas::Store::Counters.new(db).add("somebody", within_s: 1)
    db[:counters].update(ends_at: Time.now - 1)
    allow(Process).to(
      receive(:clock_gettime).and_wrap_original do |original, *asked|
        original.call(*asked) + (asked.size == 1 ? 3600 : 0)
      end
    )
    ask(:patch, "/api/clients/#{person[:id]}", { version: 2, detail: "the swimmer" })
    expect([db[:writes].count, db[:counters].count]).to eq([1, 0])
  end
end
