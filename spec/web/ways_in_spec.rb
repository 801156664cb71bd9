# frozen_string_literal: true

require "web_helper"

# What somebody tries who is not let in: guessing, planting, forging, coming in by another name.
RSpec.describe "Ways in" do
  let(:loft) { gym }
  let!(:maren) { staff(loft) }
  let(:stack) { Verglas::Web::Stack.build(db, limits: false) }

  # A try from an address, as a stranger who keeps no cookies makes it.
  def try(password: "guess", email: "maren@netloft.example", from: "203.0.113.7", stack: self.stack, **headers)
    Rack::MockRequest.new(stack).post(
      "http://localhost/auth/login",
      "CONTENT_TYPE" => "application/json",
      "REMOTE_ADDR" => from,
      :input => JSON.generate({ email: email, password: password }),
      **headers
    )
  end

  def code_of(answer) = JSON.parse(answer.body)["code"]

  describe "guessing a password" do
    it "is slowed down for that account from that address, the right one too, and nobody else" do
      staff(loft, email: "tobias@netloft.example", name: "Tobias Wick")
      answers = Array.new(11) { try }
      expect(answers.map(&:status)).to eq(([401] * 10) + [429])
      refused = try(password: Given::PASSWORD)
      expect([refused.status, code_of(refused), refused.headers["retry-after"].to_i]).to match(
        [429, "too_many_passwords", be_between(1, 900)]
      )
      expect(
        [
          try(password: Given::PASSWORD, from: "203.0.113.8"),
          try(password: Given::PASSWORD, email: "tobias@netloft.example")
        ].map(&:status)
      ).to eq([200, 200])
    end

    it "from many addresses is slowed down too, but not for a device on which the account signed in before" do
      sign_in
      60.times { |number| try(from: "203.0.113.#{number}") }
      expect(try(password: Given::PASSWORD, from: "203.0.113.99").status).to eq(429)
      sign_in
      expect(status).to eq(200)
    end

    it "is forgiven to who knows the password in the end" do
      9.times { try }
      expect(try(password: Given::PASSWORD).status).to eq(200)
      9.times { try }
      expect(try(password: Given::PASSWORD).status).to eq(200)
    end

    it "is counted for all processes, under no readable name" do
      try
      another = Verglas::Web::Stack.build(db, limits: false)
      9.times { try(stack: another) }
      expect(try.status).to eq(429)
      expect(db[:counters].select_map(:key_digest).join).not_to match(/maren|203/)
    end

    it "many at once is no way round the count" do
      answers = Array.new(5) { Thread.new { Array.new(4) { try.status } } }.flat_map(&:value)
      expect(answers.tally).to eq(401 => 10, 429 => 10)
    end

    # Kinds of statements, without what they are about.
    def asked_of_the_database
      told = StringIO.new
      logger = Logger.new(told)
      db.loggers << logger
      yield
      told
        .string
        .scan(/: ((?:SELECT|INSERT|UPDATE|DELETE|SET)[^\n]*)/)
        .flatten
        .map { |text| text.gsub(/'[^']*'|\d+/, "?") }
    ensure
      db.loggers.delete(logger)
    end

    it "takes as long for an e-mail that nobody has, and is told in the same words" do
      allow(Argon2::Password).to receive(:verify_password).and_call_original
      known = try
      unknown = try(email: "nobody@netloft.example")
      expect(Argon2::Password).to have_received(:verify_password).twice
      expect([known.status, known.body]).to eq([unknown.status, unknown.body])
      statements =
        %w[maren@netloft.example nobody@netloft.example].map { |email| asked_of_the_database { try(email: email) } }
      expect(statements.first - statements.last).to eq([])
      expect(db[Sequel[:kept][:audit]].where(account_id: 0).count).to eq(0)
      10.times { try(email: "nobody@netloft.example") }
      expect(code_of(try(email: "nobody@netloft.example"))).to eq("too_many_passwords")
    end

    it "is limited a minute from one address, whoever is meant" do
      limited = Verglas::Web::Stack.build(db)
      # More than two windows of a minute let through, so that the clock cannot save anybody.
      answers = Array.new(45) { |number| try(email: "a#{number}@b.example", stack: limited) }
      expect([answers.first.status, answers.count { |answer| answer.status == 401 }, answers.last.status]).to match(
        [401, be <= 40, 429]
      )
      expect(answers.last.headers["retry-after"].to_i).to be_between(1, 60)
    end
  end

  describe "an address that is only claimed" do
    it "is not believed" do
      11.times { |number| try("HTTP_X_FORWARDED_FOR" => "198.51.100.#{number}") }
      expect(try("HTTP_X_FORWARDED_FOR" => "198.51.100.200").status).to eq(429)
    end

    it "is believed of a configured proxy alone, and only its own word" do
      behind =
        Verglas::Web::Stack.build(
          db,
          limits: false,
          site: Verglas::Web::Site.new({ "TRUSTED_PROXIES" => "10.0.0.0/8" })
        )
      11.times { try(:from => "10.0.0.2", :stack => behind, "HTTP_X_FORWARDED_FOR" => "192.0.2.1, 198.51.100.1") }
      expect(
        try(:from => "10.0.0.2", :stack => behind, "HTTP_X_FORWARDED_FOR" => "192.0.2.250, 198.51.100.1").status
      ).to eq(429)
      expect(try(:from => "10.0.0.2", :stack => behind, "HTTP_X_FORWARDED_FOR" => "198.51.100.2").status).to eq(401)
      expect(try(:from => "192.0.2.77", :stack => behind, "HTTP_X_FORWARDED_FOR" => "198.51.100.1").status).to eq(401)
    end
  end

  it "are closed for an account that is closed or was never opened, in the same words" do
    wrong = try
    [1, 3].each do |closed|
      db[:accounts].where(id: maren).update(status_id: closed)
      answer = try(password: Given::PASSWORD)
      expect([answer.status, answer.body]).to eq([wrong.status, wrong.body])
    end
  end

  describe "a PIN" do
    def keep_pin(pin, password: Given::PASSWORD) = call(:post, "/auth/pin", { password: password, pin: pin })

    before { sign_in }

    it "is no way to try passwords: counted, and refused after five, the right one too" do
      answers = Array.new(6) { |number| keep_pin("2468", password: "guess #{number}")["code"] }
      expect(answers).to eq((["sign_in_refused"] * 5) + ["too_many_passwords"])
      expect([keep_pin("2468")["code"], status, db[:account_pins].count]).to eq(["too_many_passwords", 429, 0])
    end

    it "is not set on a locked tablet" do
      call(:post, "/auth/lock", {})
      expect([keep_pin("2468")["code"], status]).to eq(["tablet_locked", 401])
      expect(keep_pin("2468", password: "guess")["code"]).to eq("tablet_locked")
    end

    it "that anybody tries first is refused, with why" do
      %w[0000 1111 1234 4321 7890 0987 1212 123123 2580 1122 112233 123456 999999].each do |pin|
        expect(keep_pin(pin)).to include("code" => "pin_simple", "path" => "/pin", "message" => /easy to guess/), pin
      end
      expect(db[:account_pins].count).to eq(0)
      %w[2468 4711 9041 836205].each { |pin| expect(keep_pin(pin)).to eq("ok" => true) }
    end
  end

  it "by a tablet's name that was planted or copied before open nothing after a sign-in" do
    sign_in
    call(:post, "/auth/pin", { password: Given::PASSWORD, pin: "2468" })
    planted = rack_mock_session.cookie_jar["verglas_tablet"]
    sign_in
    expect(rack_mock_session.cookie_jar["verglas_tablet"]).not_to eq(planted)
    set_cookie("verglas_tablet=#{planted}")
    expect(call(:post, "/auth/switch", { account_id: maren, pin: "2468" })["code"]).to eq("pin_missing")
  end

  it "with the cookies of an ended session, or of an account that was closed, stay shut under every door" do
    [-> { db[:account_active_session_keys].delete }, -> { db[:accounts].update(status_id: 3) }].each do |ending|
      sign_in
      ending.call
      expect_shut
    end
  end

  def expect_shut
    [
      [:get, "/auth/tablet"],
      [:post, "/auth/lock", {}],
      [:post, "/auth/pin", { password: Given::PASSWORD, pin: "2468" }],
      [:post, "/auth/switch", { account_id: maren, pin: "2468" }],
      [:get, "/api/me"]
    ].each { |asked| expect([call(*asked)["code"], status]).to eq(["sign_in_needed", 401]), asked.inspect }
  end

  describe "by another name" do
    def get_as(host, stack: self.stack, **headers)
      Rack::MockRequest.new(stack).get("http://#{host}/healthz", **headers)
    end

    it "are refused: this server answers to its own hosts" do
      expect(%w[localhost 127.0.0.1:4567 [::1]].map { |host| get_as("localhost", "HTTP_HOST" => host).status }).to eq(
        [200] * 3
      )
      ["evil.example", "localhost.evil.example", "127.0.0.1.evil.example", "", "localhost@evil.example"].each do |host|
        expect([get_as("localhost", "HTTP_HOST" => host).status, host]).to eq([403, host])
      end
      expect(JSON.parse(get_as("localhost", "HTTP_HOST" => "evil.example").body)).to include(
        "code" => "other_host",
        "message" => /does not answer/
      )
    end

    it "of its public address are taken, over TLS with cookies of this host alone" do
      site = Verglas::Web::Site.new({ "PUBLIC_URL" => "https://fit.example.org" })
      stack = Verglas::Web::Stack.build(db, limits: false, site: site)
      answer =
        Rack::MockRequest.new(stack).post(
          "http://fit.example.org/auth/login",
          "CONTENT_TYPE" => "application/json",
          "HTTP_ORIGIN" => "https://fit.example.org",
          :input => JSON.generate({ email: "maren@netloft.example", password: Given::PASSWORD })
        )
      cookies = Array(answer.headers["set-cookie"]).flat_map { |line| line.split("\n") }
      expect(answer.status).to eq(200)
      expect(cookies).to contain_exactly(
        start_with("__Host-verglas_session=").and(match(%r{; path=/;.*secure;}i)),
        start_with("__Host-verglas_tablet=").and(match(%r{; path=/;.*secure;}i))
      )
      expect(cookies.join).not_to match(/domain/i)
      expect(answer.headers["strict-transport-security"]).to match(/max-age=\d{8}/)
      expect(get_as("fit.example.com", stack: stack).status).to eq(403)
      expect(
        Rack::MockRequest
          .new(stack)
          .post("http://fit.example.org/auth/login", "HTTP_ORIGIN" => "https://evil.example")
          .status
      ).to eq(403)
    end

    it "that is none is told to who starts the server" do
      %w[fit.example.org ftp://fit.example.org https://fit.example.org/app].each do |url|
        expect { Verglas::Web::Site.new({ "PUBLIC_URL" => url }) }.to raise_error(ArgumentError, /PUBLIC_URL/)
      end
    end
  end

  it "by Ruby objects in a session cookie are none: it holds JSON, encrypted" do
    sign_in
    encryptor =
      Rack::Session::Encryptor.new(ENV.fetch("SESSION_SECRET"), purpose: "verglas_session", serialize_json: true)
    expect(encryptor.decrypt(rack_mock_session.cookie_jar["verglas_session"])).to include("account_id" => maren)
  end

  it "tell browsers to keep our pages apart from others and to ask for nothing" do
    get "/"
    expect(last_response.headers).to include(
      "cross-origin-opener-policy" => "same-origin",
      "permissions-policy" => /camera=\(\)/,
      "x-content-type-options" => "nosniff"
    )
    expect(last_response.headers).not_to have_key("strict-transport-security")
  end
end
