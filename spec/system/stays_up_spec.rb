# frozen_string_literal: true

require "system_helper"
require_relative "../support/outside"
require_relative "../../demo/loader"

# Hard deaths of the server and of its database, under writes.
RSpec.describe "The server, killed" do
  let(:server) { Outside.kept }

  before do
    server.start
    server.sign_in(**Verglas::Demo::Loader::SIGN_IN)
  end

  after { server.rest }

  def soon
    ends = Time.now + 60 # a bound, never waited for: a busy machine starts a database slowly
    until (done = yield) || Time.now > ends
      sleep 0.1
    end
    done
  end

  def ask(path) = server.request(:get, path).code

  it "finds its database again on the same port when that was killed, says so in one line, and ends on a signal" do
    cluster = server.cluster
    port = cluster.port
    Process.kill(:KILL, Integer(File.foreach(File.join(cluster.send(:data), "postmaster.pid")).first))
    codes = [ask("/api/floor")]
    expect(soon { server.told.include?("was started again") }).to be(true), server.told
    expect(soon { (codes << ask("/api/floor")).last == "200" }).to be(true)
    expect(codes.uniq - %w[200 503]).to eq([])
    expect([cluster.port, ask("/readyz")]).to eq([port, "200"])
    expect(server.told).not_to match(/PG::|could not connect|closed the connection/)
    expect(server.stop(:TERM)).to be < 10
    expect(cluster.answers?).to be(false)
  end

  it "is one on a folder: another says which runs there, and ends" do
    said, status = server.again
    expect([status.success?, said]).to match(
      [
        false,
        a_string_matching(
          %r{it runs already from this folder, process \d+, at http://127\.0\.0\.1:\d+\. Stop that one first, or use it\.}
        )
      ]
    )
    expect(ask("/readyz")).to eq("200")
  end

  # Adds clients until the server is gone; every name and key is noted before it is sent.
  def write(sent, who)
    (1..).each do |number|
      sent << [name = "Killed #{who} #{number}", key = SecureRandom.uuid]
      server.request(:post, "/api/clients", { name: name }, key: key)
    end
  rescue SystemCallError, IOError, Net::OpenTimeout, Net::ReadTimeout
    nil
  end

  it "loses no write and does none twice, however often it is killed in the middle" do
    sent = Queue.new
    3.times do |round|
      writers = Array.new(3) { |writer| Thread.new { write(sent, "#{round} #{writer}") } }
      expect(soon { sent.size > 12 * (round + 1) }).to be(true)
      server.stop(:KILL)
      writers.each(&:join)
      server.start
    end
    all = Array.new(sent.size) { sent.pop }
    expect(all.size).to be > 30
    expect(all.map { |name, key| server.request(:post, "/api/clients", { name: name }, key: key).code }.uniq).to eq(
      ["201"]
    )
    stored =
      Sequel.connect(server.cluster.database("verglas")) do |base|
        base[:clients].where(Sequel.like(:name, "Killed %")).select_map(:name)
      end
    expect(stored.sort).to eq(all.map(&:first).sort)
  end
end
