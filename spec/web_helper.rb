# frozen_string_literal: true

# For specs of the HTTP interface: every answer is checked against web/openapi.yaml.
require "database_helper"
require "rack/test"
require "securerandom"
require_relative "support/answers"

module Http
  include Rack::Test::Methods

  LOG = StringIO.new
  APP = Verglas::Web::Stack.build(Verglas::DB, log: LOG, limits: false)
  CONTRACT = Verglas::Web::Contract.new
  ANSWERS = Answers.new(CONTRACT.definition)

  def app = APP

  # A server answers only to its own name.
  def build_rack_mock_session = Rack::MockSession.new(app, "localhost")

  # A request as the front end makes it; answers the parsed body.
  def call(method, path, body = nil, key: SecureRandom.uuid, type: "application/json", raw: nil)
    header "Content-Type", type
    header "Accept", "application/json"
    header "Idempotency-Key", key
    public_send(method, path, raw || (body && JSON.generate(body)))
    check_answer(path)
    last_response.body.start_with?("{") ? JSON.parse(last_response.body) : last_response.body
  end

  # What a fitting holds but for its marks, as it is sent with the next write.
  def sheet(shown)
    fields = %w[version aids load signs note knee_off_mm roller_seen flow work cue trail creep]
    shown.slice(*fields).transform_keys(&:to_sym)
  end

  def check_answer(path)
    # 403 is said before the interface is reached, 500 is our fault: neither is part of the contract.
    return if !path.start_with?("/api/", "/auth/") || [403, 413, 500, 503].include?(status)

    complaint = ANSWERS.complaint(last_request, last_response)
    return unless complaint
    raise "#{last_request.request_method} #{path} #{status} breaks the contract: #{complaint} " \
            "#{last_response.body[0, 300]}"
  end

  def status = last_response.status
  def sign_in(email: "maren@netloft.example", password: Given::PASSWORD)
    call(:post, "/auth/login", { email: email, password: password })
  end
end

RSpec.configure do |config|
  Groups.given(config, Http, file_path: %r{/spec/(web|application)/})
  config.before { Http::LOG.truncate(Http::LOG.rewind) }
end
