# frozen_string_literal: true

require "rack/mock_request"
require_relative "fuzz"

# Sends fuzzed requests to the application as Puma would hand them on (nobody reads the address before), signed in, and
# tells what is wrong with the answers.
class Fuzzing
  Answer = Struct.new(:status, :headers, :body)

  # hidden: a word of another gym's that no answer may hold.
  def initialize(app, fuzz, email:, password:, hidden:)
    @app = app
    @fuzz = fuzz
    @email = email
    @password = password
    @hidden = hidden
    @cookies = {}
  end

  # What is wrong, a line each.
  def run(count)
    faults =
      Array.new(count) do |number|
        sign_in if (number % 40).zero?
        request = @fuzz.request
        fault = fault_in(request, send_to_app(request))
        fault &&
          "#{request.verb.upcase} #{request.path[0, 120]} #{request.headers.to_s[0, 150]} " \
            "#{request.raw.to_s[0, 300]}: #{fault}"
      end
    faults.compact
  end

  private

  # A request that happened to be right may have changed the password.
  def sign_in
    account = Verglas::DB[:accounts].where(email: @email).get(:id)
    Verglas::DB[:account_password_hashes].where(id: account).update(
      password_hash: Verglas::Web::SignIn.password_hash(@password)
    )
    body = JSON.generate({ email: @email, password: @password })
    answer =
      send_to_app(
        Fuzz::Request.new(
          verb: "post",
          path: "/auth/login",
          raw: body,
          headers: {
            "Content-Type" => "application/json"
          }
        )
      )
    raise "signing in was answered with #{answer.status}" unless answer.status == 200
  end

  def send_to_app(request)
    path, query = request.path.split("?", 2)
    env = Rack::MockRequest.env_for("http://localhost/", method: request.verb.upcase, input: request.raw.to_s)
    env.update(
      "PATH_INFO" => path,
      "QUERY_STRING" => query.to_s,
      "HTTP_COOKIE" => cookies,
      "CONTENT_LENGTH" => request.raw.to_s.bytesize.to_s
    )
    request.headers.each { |name, value| env[header_name(name)] = value if value }
    status, headers, body = @app.call(env)
    keep_cookies(headers)
    Answer.new(status, headers, text(body))
  end

  def text(body)
    body.each.with_object(+"") { |part, text| text << part }
  ensure
    body.close if body.respond_to?(:close)
  end

  def cookies = @cookies.map { |name, value| "#{name}=#{value}" }.join("; ")

  def keep_cookies(headers)
    Array(headers["set-cookie"])
      .flat_map { |lines| lines.split("\n") }
      .each { |line| @cookies.store(*line[/\A[^;]*/].split("=", 2)) }
  end

  def header_name(name)
    key = name.upcase.tr("-", "_")
    %w[CONTENT_TYPE CONTENT_LENGTH].include?(key) ? key : "HTTP_#{key}"
  end

  def fault_in(request, answer)
    return "#{answer.status} #{answer.body[0, 200]}" if answer.status >= 500
    return "another gym's: #{answer.body[0, 200]}" if answer.body.b.downcase.include?(@hidden)
    unless answer.status >= 400 && request.verb != "head" && request.path.start_with?("/api/", "/auth/") &&
             !request.path.include?("..")
      return
    end

    error = JSON.parse(answer.body)
    unless error.values_at("code", "message").all?(String) &&
             !error["message"].match?(/PG::|Sequel|undefined|json_schemer/)
      "no Error: #{answer.body[0, 200]}"
    end
  rescue JSON::ParserError
    "no JSON at #{answer.status}: #{answer.body[0, 200]}"
  end
end
