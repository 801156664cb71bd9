# frozen_string_literal: true

require "web_helper"

RSpec.describe "Signing in" do
  let!(:account) { staff(gym) }

  it "opens the gym to its staff, and closes it again" do
    call(:get, "/api/me")
    expect(status).to eq(401)
    sign_in
    expect(call(:get, "/api/me")).to include(
      "name" => "Maren Oldcastle",
      "gym" => include("name" => "The Net Loft", "locale" => "en-GB")
    )
    call(:post, "/auth/logout", {})
    expect(call(:get, "/api/me")["code"]).to eq("sign_in_needed")
  end

  it "says the same of a wrong password and an unknown email" do
    wrong = sign_in(password: "no")
    unknown = sign_in(email: "nobody@netloft.example")
    expect(wrong).to eq(unknown)
    expect([status, wrong["code"]]).to eq([401, "sign_in_refused"])
  end

  it "stores the password only as an argon2 hash" do
    expect(db[:account_password_hashes].where(id: account).get(:password_hash)).to start_with("$argon2id$")
  end

  it "ends a session that was revoked in the database" do
    sign_in
    db[:account_active_session_keys].delete
    call(:get, "/api/me")
    expect(status).to eq(401)
  end

  it "ends a session after two hours without a request" do
    sign_in
    later = Time.now + (2 * 3600) + 60
    allow(Time).to receive(:now).and_return(later)
    call(:get, "/api/me")
    expect(status).to eq(401)
  end

  it "closes at once for an account that was closed" do
    sign_in
    db[:accounts].update(status_id: 3)
    call(:get, "/api/me")
    expect(status).to eq(401)
  end

  it "gives a cookie that scripts and other sites cannot use" do
    sign_in
    expect(last_response.headers["set-cookie"].to_s.downcase).to include("httponly", "samesite=strict")
  end

  it "takes nothing but JSON, so that no form of another site can speak for the staff" do
    call(:post, "/auth/login", raw: "email=maren@netloft.example&password=x", type: "application/x-www-form-urlencoded")
    expect(status).to be_between(400, 499)
    call(:post, "/auth/login", raw: "{", type: "application/json")
    expect(status).to eq(400)
  end

  it "refuses a request from another origin" do
    sign_in
    header "Origin", "https://elsewhere.example"
    call(:post, "/api/clients", { name: "Ada" })
    expect(status).to eq(403)
    expect(db[:clients].count).to eq(0)
  end
end
