# frozen_string_literal: true

require "web_helper"

# The database goes and comes back under the running application.
RSpec.describe "With the database away" do
  let(:loft) { gym }
  let!(:maren) { staff(loft) }
  let!(:person) { client(loft, maren, name: "Perpetua Lowe") }

  def ask(path) = [call(:get, path), status].reverse

  it "everything is told to come again, in one line of the log, and goes on once it is back" do
    sign_in
    TestDatabase::CLUSTER.stop
    told = StringIO.new
    allow_any_instance_of(Verglas::Web::Faults).to receive(:warn) { |_, line| told.puts(line) }
    ["/api/floor", "/api/clients/#{person[:id]}", "/auth/tablet"].each do |path|
      code, refused = ask(path)
      expect([code, refused["code"], last_response.headers["retry-after"]]).to eq([503, "database_away", "3"])
      expect(refused["message"]).not_to match(/PG|connect|server closed/)
    end
    expect(told.string.lines.size).to eq(3)
    expect(told.string).not_to match(/could not|closed the connection|Perpetua/)
    expect(%w[/health /metrics].map { |path| get(path).status }).to eq([404, 404])
    expect([get("/healthz").status, get("/readyz").status, JSON.parse(last_response.body)]).to eq(
      [200, 503, { "ok" => false, "database" => false, "migrations" => false, "room" => false }]
    )
    TestDatabase::CLUSTER.start_again
    expect([call(:get, "/api/clients/#{person[:id]}").dig("client", "name"), status]).to eq(["Perpetua Lowe", 200])
    expect([get("/readyz").status, get("/").status]).to eq([200, 200])
  ensure
    TestDatabase::CLUSTER.start_again unless TestDatabase::CLUSTER.answers?
  end

  it "costs one request, not one for each connection that was open" do
    sign_in
    Array.new(4) { Thread.new { db.synchronize { |_| sleep 0.2 } } }.each(&:join)
    expect(db.pool.size).to be > 3
    TestDatabase::CLUSTER.stop
    TestDatabase::CLUSTER.start_again
    allow_any_instance_of(Verglas::Web::Faults).to receive(:warn)
    expect(Array.new(4) { ask("/api/clients/#{person[:id]}").first }.drop(1)).to all(eq(200))
  ensure
    TestDatabase::CLUSTER.start_again unless TestDatabase::CLUSTER.answers?
  end

  it "is ready only when its migrations are those of this code" do
    expect(JSON.parse(get("/readyz").body)).to eq(
      { "ok" => true, "database" => true, "migrations" => true, "room" => true }
    )
    current = db[:schema_info].get(:version)
    db[:schema_info].update(version: current - 1)
    expect([get("/readyz").status, JSON.parse(last_response.body)["migrations"]]).to eq([503, false])
  ensure
    db[:schema_info].update(version: current)
  end

  # As PostgreSQL says it of a disk on which nothing more goes.
  def without_room
    db.run(
      "CREATE FUNCTION no_room() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN RAISE EXCEPTION 'could not extend " \
        "file' USING ERRCODE = '53100'; END $$"
    )
    tables = %i[clients counters]
    tables.each do |table|
      db.run("CREATE TRIGGER no_room BEFORE INSERT ON #{table} FOR EACH ROW EXECUTE FUNCTION no_room()")
    end
    yield
  ensure
    tables.each { |table| db.run("DROP TRIGGER no_room ON #{table}") }
    db.run("DROP FUNCTION no_room()")
  end

  it "without room on its disk: says so to who writes and who watches, and goes on when there is some again" do
    sign_in
    allow_any_instance_of(Verglas::Web::Faults).to receive(:warn)
    add = -> { call(:post, "/api/clients", { name: "Ada" }) }
    without_room do
      expect([add.call["code"], status, last_response.headers["retry-after"]]).to eq(["no_room", 503, "60"])
      expect([get("/readyz").status, JSON.parse(last_response.body)["room"], get("/healthz").status]).to eq(
        [503, false, 200]
      )
      expect(call(:get, "/api/clients/#{person[:id]}").dig("client", "name")).to eq("Perpetua Lowe")
    end
    expect([add.call["name"] || status, get("/readyz").status]).to match([anything, 200])
    expect(db[:clients].where(name: "Ada").count).to eq(1)
  end

  it "tells of every request when, how long, by whom and under which number, and of nothing else" do
    sign_in
    call(:get, "/api/clients/#{person[:id]}")
    line = JSON.parse(Http::LOG.string.lines.last)
    expect(line).to include(
      "method" => "GET",
      "path" => "/api/clients/#{person[:id]}",
      "status" => 200,
      "account" => maren,
      "request" => last_response.headers["x-request-id"]
    )
    expect([Time.iso8601(line["time"]), line["ms"], line.keys]).to match(
      [be_within(5).of(Time.now), be_a(Float), %w[time request method path status ms account]]
    )
  end

  it "keeps its log for its owner and group, a line of JSON each, and begins it anew when it is full" do
    Dir.mktmpdir do |folder|
      path = File.join(folder, "requests.log")
      stub_const("Verglas::Web::RequestLog::MOST_BYTES", 400)
      before = File.umask(0o027)
      stack = Verglas::Web::Stack.build(db, log: Verglas::Web::RequestLog.open(path), limits: false)
      6.times { Rack::MockRequest.new(stack).get("http://localhost/healthz") }
      files = Dir["#{path}*"]
      expect(files.size).to be > 1
      expect(files.map { |file| File.stat(file).mode & 0o777 }.uniq).to eq([0o640])
      expect(files.flat_map { |file| File.readlines(file).map { |line| JSON.parse(line)["path"] } }.uniq).to eq(
        ["/healthz"]
      )
    ensure
      File.umask(before)
    end
  end
end
