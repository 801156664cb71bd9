# frozen_string_literal: true

require "web_helper"

RSpec.describe Verglas::Web::Metrics do
  let(:token) { "harbour-light-on-the-quay" }
  let(:answers) { ->(env) { [Integer(env["PATH_INFO"][/\d+/] || 200), {}, ["ok"]] } }
  let(:watched) { described_class.new(answers, db, { "METRICS_TOKEN" => token }) }

  def ask(path, route: nil, bearer: nil, of: watched)
    env = Rack::MockRequest.env_for(path)
    env["sinatra.route"] = route if route
    env["HTTP_AUTHORIZATION"] = "Bearer #{bearer}" if bearer
    of.call(env)
  end

  def told = ask("/metrics", bearer: token).last.join

  it "counts requests by route and status, without what stands in the path" do
    3.times { ask("/api/clients/secret-id", route: "GET /api/clients/:id") }
    ask("/500", route: "GET (?!\\/api\\/).*")
    expect(told).to include(
      'verglas_request_seconds_count{route="GET /api/clients/:id",status="200"} 3.0',
      'verglas_request_seconds_count{route="other",status="500"} 1.0'
    )
    expect(told).not_to include("secret-id")
  end

  it "tells how old the last backup is, and the last that was checked" do
    expect(told).to include("verglas_backup_age_seconds Infinity")
    db[:backups].insert(made_at: Time.now - 300, bytes: 10)
    db[:backups].insert(made_at: Time.now - 900, bytes: 10, checked_at: Time.now)
    ages = told.scan(/^verglas_backup_(?:checked_)?age_seconds (\S+)/).flatten.map(&:to_f)
    expect(ages).to match([be_within(5).of(300), be_within(5).of(900)])
    expect(told).to match(/^verglas_database_connections_most 8/)
  end

  it "tells nobody else anything: neither without the token, nor with another, nor where none is set" do
    none = described_class.new(answers, db, {})
    asked = [[watched, nil], [watched, "#{token}x"], [watched, ""], [none, ""], [none, token]]
    expect(asked.map { |of, bearer| ask("/metrics", bearer: bearer, of: of).last }).to all(eq(["ok"]))
  end

  it "is refused at the start with a token that can be guessed" do
    expect { described_class.new(answers, db, { "METRICS_TOKEN" => "short" }) }.to raise_error(ArgumentError)
  end

  it "is no page of the application where no token is set" do
    get("/metrics")
    expect(last_response.status).to eq(404)
  end
end
