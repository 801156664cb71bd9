# frozen_string_literal: true

require "web_helper"

RSpec.describe "Pages" do
  it "answer every address of a place with the front end, its nonce and its policy" do
    %w[/ /clients /clients/0b7f0a52-0000-4000-8000-000000000000 /fittings/x /sign-in].each do |path|
      get path
      nonce = last_response.headers["content-security-policy"][/script-src 'self' 'nonce-([^']+)'/, 1]
      expect(last_response.body).to include("nonce=\"#{nonce}\"")
      expect(last_response.body).not_to include("__CSP_NONCE__")
    end
  end

  it "never give the same nonce twice, and allow nothing from elsewhere" do
    policies = Array.new(2) { get("/").headers["content-security-policy"] }
    expect(policies.uniq.size).to eq(2)
    expect(policies.first).to include("default-src 'none'", "frame-ancestors 'none'")
    expect(policies.join).not_to match(%r{https?://|unsafe-eval|script-src[^;]*unsafe-inline})
  end

  it "let nobody read how the device moves but the page of a phone that was asked to" do
    allowed = ->(path) { get(path).headers["permissions-policy"] }
    expect(allowed["/"]).to include("accelerometer=()", "gyroscope=()", "camera=()")
    expect(allowed["/phone"]).to include("accelerometer=(self)", "gyroscope=(self)", "camera=()")
  end

  it "ask nothing of the network: fonts, styles and scripts are ours" do
    page = get("/").body
    expect(page.scan(/(?:src|href)="([^"]+)"/).flatten.grep(%r{\A(https?:)?//})).to be_empty
  end

  it "are not kept by caches, while hashed assets are for ever" do
    expect(get("/").headers["cache-control"]).to eq("no-store")
    script = get("/").body[%r{/assets/[^"]+\.js}]
    expect(get(script).headers["cache-control"]).to include("immutable")
  end

  it "keep every method that Sinatra has: no helper of ours stands in for one" do
    routes = Verglas::Web::Routes
    ours = routes.constants.map { |name| routes.const_get(name) }.select { |one| one.const_defined?(:Helpers, false) }
    expect(ours.size).to be > 8
    expect(ours.flat_map { |one| one::Helpers.instance_methods(false) } & Sinatra::Base.instance_methods).to eq([])
  end

  it "say clearly that an unknown route of the interface is none" do
    get "/api/nowhere"
    expect(last_response.status).to eq(401).or eq(404)
  end
end

RSpec.describe "The contract" do
  let(:definition) { Http::CONTRACT.definition }

  it "describes every route of the application and nothing more" do
    routes =
      Verglas::Web::App.routes.flat_map do |method, entries|
        method == "HEAD" ? [] : entries.map { |pattern, *| "#{method} #{pattern.to_s.gsub(/:(\w+)/, '{\1}')}" }
      end
    described =
      definition
        .operations
        .map { |operation| "#{operation.request_method.upcase} #{operation.path}" }
        .grep_v(%r{ /auth/})
    expect(routes.grep(%r{ /api/})).to match_array(described)
  end

  it "is what every answer of these specs is held against: one that says something else is found out" do
    request = Rack::Request.new(Rack::MockRequest.env_for("/api/ping"))
    complaint = ->(status, type, body) do
      Http::ANSWERS.complaint(request, Rack::MockResponse.new(status, { "content-type" => type }, [body]))
    end
    get "/api/ping"
    right = last_response.body
    expect(complaint.call(401, "application/json", JSON.generate(JSON.parse(right).merge("code" => 5)))).to include(
      "/code"
    )
    expect(complaint.call(200, "text/plain", right)).to eq("\"text/plain\" is not said in the document")
    expect(complaint.call(299, "application/json", right)).to eq("299 is not said in the document")
    expect(complaint.call(401, "application/json", "{")).to eq("not JSON")
    expect(complaint.call(last_response.status, "application/json", right)).to be_nil
  end

  it "asks a key of every write" do
    computations = %w[searchClients evaluate explainSigns checkAgain readCreep loads tryLength ruleChanges planSession]
    writes =
      definition.operations.reject do |operation|
        operation.request_method == "get" || computations.include?(operation.operation_id)
      end
    expect(writes.size).to be >= 8
    keyless =
      YAML.safe_load_file(Verglas::Web::Contract::FILE, aliases: true)["paths"].flat_map do |path, item|
        item
          .except("parameters")
          .filter_map do |method, operation|
            "#{method} #{path}" unless operation.to_s.include?("parameters/Key") || method == "get"
          end
      end
    expect(keyless).to match_array(
      %w[
        /auth/login
        /auth/logout
        /auth/lock
        /auth/pin
        /auth/switch
        /auth/password
        /auth/sessions/end
        /auth/first
        /auth/forgotten
        /auth/link
        /auth/link/taking
        /auth/own-card
        /auth/phone
        /auth/phone/samples
        /auth/phone/ending
        /api/search
        /api/clients/search
        /api/clients/{id}/session-plan
        /api/fittings/{id}/evaluation
        /api/fittings/{id}/signs
        /api/fittings/{id}/again
        /api/fittings/{id}/creep
        /api/fittings/{id}/loads
        /api/machines/{id}/trial
        /api/rules/{question}/changes
      ].map { |path| "post #{path}" }
    )
  end
end

RSpec.describe Verglas::Formats::Words do
  it "has a sentence for every code that the web gives out" do
    codes =
      Dir[File.join(Verglas::ROOT, "{web,formats,store}/**/*.rb")]
        .flat_map { |file| File.read(file).scan(/Invalid\.new\(:(\w+)/).flatten }
        .uniq
    command_line_only = %w[
      unknown_operation
      unknown_machine
      unknown_body
      unreadable_file
      not_a_collection
      not_computable
    ]
    expect(
      (codes - command_line_only).reject do |code|
        described_class.maybe(
          "errors.#{code}",
          **Hash.new { |_, _| "x" },
          adjuster: "a",
          mark: "m",
          difference: "d",
          direction: "more",
          what: "w",
          says: "s",
          low: 1,
          high: 2,
          most: 3,
          tries: 4,
          minutes: 5,
          column: "c",
          known: "k",
          line: 6,
          expected: 7
        )
      end
    ).to be_empty
  end

  it "has only words as keys: YAML takes on, off, yes and no for truth values" do
    keys = ->(node) { node.is_a?(Hash) ? node.flat_map { |key, value| [key, *keys.call(value)] } : [] }
    Dir[File.join(Verglas::ROOT, "config/messages/*.yml")].each do |file|
      expect(keys.call(YAML.safe_load_file(file))).to all(be_a(String))
    end
  end

  it "says nothing without its numbers" do
    expect { described_class.say("says.offset.off_by", mm: 3) }.to raise_error(KeyError)
  end
end
