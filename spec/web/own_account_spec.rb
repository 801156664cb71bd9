# frozen_string_literal: true

require "web_helper"

RSpec.describe "One's own account" do
  let(:loft) { gym }
  let!(:maren) { staff(loft) }

  def change(password, wanted) = call(:post, "/auth/password", { password: password, new_password: wanted })
  def sessions = call(:get, "/auth/sessions")["sessions"]
  def stop(**which) = call(:post, "/auth/sessions/end", which)

  # Signed in on some device; answers its cookies.
  def on(device, password: Given::PASSWORD)
    clear_cookies
    header "User-Agent", device
    call(:post, "/auth/login", { email: "maren@netloft.example", password: password })
    rack_mock_session.cookie_jar["verglas_session"]
  end

  def as(cookie)
    clear_cookies
    set_cookie("verglas_session=#{Rack::Utils.escape(cookie)}")
  end

  ipad =
    "Mozilla/5.0 (iPad; CPU OS 17_5 like Mac OS X) AppleWebKit/605.1.15 (KHTML, like Gecko) Version/17.5 " \
      "Mobile/15E148 Safari/604.1"
  desk = "Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/126.0 Safari/537.36"

  describe "its password" do
    it "is changed by whoever knows it: the new one opens, the old one does not, and nobody else stays signed in" do
      elsewhere = on(ipad)
      here = on(desk)
      expect(change(Given::PASSWORD, "heron on the slipway")).to eq("ok" => true)
      expect(call(:get, "/api/me")["name"]).to eq("Maren Oldcastle")
      as(elsewhere)
      expect(call(:get, "/api/me")["code"]).to eq("sign_in_needed")
      expect(on(desk)).to be_nil
      expect([on(desk, password: "heron on the slipway"), here]).to all(be_a(String))
      expect(loft.trail && db[Sequel[:kept][:audit]].select_map(:action)).to include(
        "changed_password",
        "wrong_password"
      )
    end

    it "is not changed to a short one, a common one, the same, nor by whoever guesses" do
      on(desk)
      expect(change(Given::PASSWORD, "short")).to include(
        "code" => "password_short",
        "path" => "/new_password",
        "message" => /12 characters/
      )
      expect(change(Given::PASSWORD, Given::PASSWORD)["code"]).to match(/password_(same|short)/)
      expect(change(Given::PASSWORD, "heron\u0000on the slipway")["code"]).to match(/password_common|not_json/)
      expect(change("guess", "heron on the slipway")).to include("code" => "sign_in_refused", "path" => "/password")
      5.times { change("guess", "heron on the slipway") }
      expect([change(Given::PASSWORD, "heron on the slipway")["code"], status]).to eq(["too_many_passwords", 429])
      expect(on(desk)).to be_a(String)
    end

    it "stays where the tablet is locked, or nobody is signed in" do
      expect(change(Given::PASSWORD, "heron on the slipway")["code"]).to eq("sign_in_needed")
      on(desk)
      call(:post, "/auth/lock", {})
      expect(change(Given::PASSWORD, "heron on the slipway")["code"]).to eq("tablet_locked")
      expect([call(:get, "/auth/sessions")["code"], stop["code"]]).to eq(%w[tablet_locked tablet_locked])
    end
  end

  describe "where it is signed in" do
    it "is told with the device and the last use, and ended one by one or all" do
      tablet = on(ipad)
      on("")
      third = on(desk)
      expect(sessions.map { |one| [one["device"], one["here"]] }).to contain_exactly(
        ["Chrome, Linux", true],
        ["", false],
        ["Safari, iPad", false]
      )
      expect(sessions.first.values_at("since", "last")).to all(match(/\A\d{4}-/))
      stop(session: sessions.find { |one| one["device"].include?("iPad") }["session"])
      expect(sessions.size).to eq(2)
      as(tablet)
      expect(call(:get, "/api/me")["code"]).to eq("sign_in_needed")
      as(third)
      expect([stop, sessions.map { |one| one["here"] }]).to eq([{ "ok" => true }, [true]])
      expect(stop(session: "0" * 24)["code"]).to eq("not_found")
    end

    it "is nobody else's" do
      staff(loft, email: "tobias@netloft.example", name: "Tobias Wick")
      mine = on(desk) && sessions.first["session"]
      clear_cookies
      sign_in(email: "tobias@netloft.example")
      expect([stop(session: mine)["code"], sessions.size]).to eq(["not_found", 1])
      expect(db[:account_active_session_keys].where(account_id: maren).count).to eq(1)
    end
  end
end
