# frozen_string_literal: true

require "web_helper"

RSpec.describe "Shared tablets" do
  let(:loft) { gym }
  let!(:maren) { staff(loft) }
  let!(:tobias) { staff(loft, email: "tobias@netloft.example", name: "Tobias Wick") }

  def keep_pin(pin) = call(:post, "/auth/pin", { password: Given::PASSWORD, pin: pin })
  def switch(account, pin) = call(:post, "/auth/switch", { account_id: account, pin: pin })
  def tablet = JSON.parse(get("/auth/tablet").body)
  def me = call(:get, "/api/me")

  # Both sign in here in full, Maren last.
  def both_sign_in
    sign_in(email: "tobias@netloft.example")
    keep_pin("1357")
    sign_in
    keep_pin("2468")
  end

  it "locks until a PIN opens it, and gives out nothing in between" do
    both_sign_in
    call(:post, "/auth/lock", {})
    expect([call(:get, "/api/floor")["code"], status]).to eq(["tablet_locked", 401])
    expect(switch(maren, "0000")).to include("code" => "pin_refused", "path" => "/pin")
    expect(call(:get, "/api/floor")["code"]).to eq("tablet_locked")
    switch(maren, "2468")
    expect([status, me["name"]]).to eq([200, "Maren Oldcastle"])
  end

  it "is not opened by a cookie from before it was locked" do
    both_sign_in
    before = rack_mock_session.cookie_jar["verglas_session"]
    call(:post, "/auth/lock", {})
    set_cookie("verglas_session=#{Rack::Utils.escape(before)}")
    expect(call(:get, "/api/floor")["code"]).to eq("tablet_locked")
  end

  it "is taken over by a colleague who signed in there in full today, with a session of their own" do
    both_sign_in
    expect(tablet["staff"].map { |one| one["name"] }).to eq(["Maren Oldcastle", "Tobias Wick"])
    before = db[:account_active_session_keys].where(account_id: maren).count
    switch(tobias, "1357")
    expect(me).to include("name" => "Tobias Wick", "pin" => true)
    expect(db[:account_active_session_keys].where(account_id: maren).count).to eq(before - 1)
  end

  it "asks for the password of somebody who did not sign in there, or not today" do
    sign_in
    keep_pin("2468")
    Verglas::Store::Tablets.new(db).put_pin(tobias, Verglas::Web::SignIn.password_hash("1357"))
    expect(switch(tobias, "1357")["code"]).to eq("pin_missing")
    db[:tablet_staff].update(signed_in_at: Time.now - (13 * 3600))
    expect([switch(maren, "2468")["code"], tablet["staff"]]).to eq(["pin_missing", []])
  end

  it "is locked for a PIN after five wrong ones, even for the right one, until a full sign-in" do
    both_sign_in
    codes = Array.new(6) { switch(tobias, "9999")["code"] }
    expect(codes).to eq((["pin_refused"] * 5) + ["pin_locked"])
    expect(switch(tobias, "1357")["code"]).to eq("pin_locked")
    sign_in(email: "tobias@netloft.example")
    sign_in
    switch(tobias, "1357")
    expect(status).to eq(200)
  end

  it "opens nothing to somebody of another gym, nor after signing out" do
    stranger = staff(gym("Elsewhere"), email: "spy@elsewhere.example")
    sign_in(email: "spy@elsewhere.example")
    keep_pin("1111")
    both_sign_in
    expect(switch(stranger, "1111")["code"]).to eq("pin_missing")
    call(:post, "/auth/logout", {})
    expect([switch(maren, "2468")["code"], tablet]).to eq(
      ["sign_in_needed", { "locked" => false, "me" => nil, "staff" => [] }]
    )
  end

  it "keeps a PIN only for who knows the password, as a hash, and only digits" do
    sign_in
    expect(call(:post, "/auth/pin", { password: "guess", pin: "2468" })).to include("path" => "/password")
    expect(call(:post, "/auth/pin", { password: Given::PASSWORD, pin: "12a4" })["path"]).to eq("/pin")
    expect(db[:account_pins].count).to eq(0)
    keep_pin("2468")
    expect(db[:account_pins].get(:pin_hash)).not_to include("2468")
    expect(Http::LOG.string).not_to include("2468")
  end
end
