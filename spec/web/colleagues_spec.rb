# frozen_string_literal: true

require "web_helper"

# Who works in a gym: asked in by a link, given a role, closed, let in again; and how an empty server is begun.
RSpec.describe "Colleagues" do
  let(:password) { "a quay of salt stone" }
  let!(:loft) { gym }
  let!(:maren) { staff(loft, role: "lead") }

  before { sign_in }

  def invited(email: "ada@netloft.example", role: "instructor")
    call(:post, "/api/staff/invitations", { name: " Ada  Quill ", email: email, role: role })
  end

  def secret(link) = link["address"].split("#").last
  def everybody = call(:get, "/api/staff")
  def person(name) = everybody["staff"].find { |one| one["name"] == name }

  # As somebody on a browser of their own, signed in nowhere.
  def elsewhere
    before = rack_mock_session.cookie_jar
    rack_mock_session.cookie_jar = Rack::Test::CookieJar.new([], "localhost")
    yield
  ensure
    rack_mock_session.cookie_jar = before
  end

  def taken(link, **typed) = call(:post, "/auth/link/taking", { secret: secret(link), password: password, **typed })

  it "are asked in by a link that says what it is, opens once, and lets them sign in under their own password" do
    link = invited
    expect(status).to eq(201)
    expect(link["code"].first).to match(/\A[01]{25,}\z/)
    expect(everybody["invitations"]).to contain_exactly(include("name" => "Ada Quill", "role" => "instructor"))
    elsewhere do
      expect(call(:post, "/auth/link", { secret: secret(link) })).to eq(
        "kind" => "invitation",
        "gym" => "The Net Loft",
        "name" => "Ada Quill",
        "email" => "ada@netloft.example",
        "role" => "instructor"
      )
      expect(taken(link, password: "short")["code"]).to eq("password_short")
      expect(taken(link, name: "Ada Q.")).to eq("email" => "ada@netloft.example")
      expect([taken(link)["code"], status]).to eq(["link_over", 404])
      sign_in(email: "ada@netloft.example", password: password)
      expect(call(:get, "/api/me")).to include("name" => "Ada Q.", "role" => "instructor")
    end
    expect(everybody["invitations"]).to eq([])
    expect(db[:accounts].where(email: "ada@netloft.example").get(:gym_id)).to eq(loft.id)
  end

  it "keeps of a link nothing that opens it, in no table, answer kept or log" do
    opens = secret(invited)
    tables = db.tables.map { |table| db[table].all.to_s }.join
    expect(tables).to include(Digest::SHA256.hexdigest(opens))
    expect("#{tables}#{Http::LOG.string}").not_to include(opens)
  end

  it "lets a link open nothing that is too old, was taken back, or was followed by another" do
    late = invited
    db[:staff_links].update(ends_at: Time.now - 1)
    expect(taken(late)["code"]).to eq("link_over")
    first = invited
    second = invited
    expect(taken(first)["code"]).to eq("link_over")
    call(:post, "/api/staff/invitations/#{everybody["invitations"].first["id"]}/removal", {})
    expect(taken(second)["code"]).to eq("link_over")
    expect(db[:accounts].count).to eq(1)
  end

  it "takes no e-mail address twice, and counts who guesses" do
    expect([invited(email: "Maren@netloft.example")["code"], status]).to eq(["email_taken", 422])
    codes = Array.new(21) { call(:post, "/auth/link", { secret: SecureRandom.urlsafe_base64 })["code"] }
    expect(codes.tally).to eq("link_over" => 20, "too_many_tries" => 1)
  end

  it "never loses its last lead, whichever way" do
    own = person("Maren Oldcastle")
    asked = { version: own["version"] }
    expect(call(:post, "/api/staff/#{maren}/closing", asked)["code"]).to eq("last_lead")
    expect(call(:put, "/api/staff/#{maren}/role", { **asked, role: "helper" })["code"]).to eq("last_lead")
    expect(db[:accounts].first(id: maren)).to include(role: "lead", status_id: 2)
    other = staff(loft, email: "tobias@netloft.example", name: "Tobias Wren", role: "lead")
    ended = [maren, other].map { |id| Thread.new { stepping_down(id) } }.map(&:value)
    expect(ended).to contain_exactly(:changed, :last_lead)
  end

  def stepping_down(id)
    loft.colleagues.change_role(id, "helper", version: 1) && :changed
  rescue Verglas::Invalid => e
    e.code
  end

  it "are signed out everywhere when their account is closed, and stay out until it is opened again" do
    tobias = staff(loft, email: "tobias@netloft.example", name: "Tobias Wren")
    jar = nil
    elsewhere do
      header("User-Agent", "Mozilla/5.0 (iPad; CPU OS 17_5 like Mac OS X) AppleWebKit/605.1 Version/17.5 Safari/604")
      sign_in(email: "tobias@netloft.example")
      jar = rack_mock_session.cookie_jar
    end
    expect(person("Tobias Wren")).to include("sessions" => 1, "devices" => ["Safari, iPad"], "open" => true)
    call(:post, "/api/staff/#{tobias}/closing", { version: 1 })
    elsewhere do
      rack_mock_session.cookie_jar = jar
      call(:get, "/api/me")
      expect(status).to eq(401)
      sign_in(email: "tobias@netloft.example")
      expect(status).to eq(401)
    end
    expect(call(:post, "/api/staff/#{tobias}/reset", {})["code"]).to eq("account_closed")
    expect(call(:post, "/api/staff/#{tobias}/opening", { version: 1 })).to include("code" => "stale")
    call(:post, "/api/staff/#{tobias}/opening", { version: 2 })
    elsewhere { sign_in(email: "tobias@netloft.example").then { expect(status).to eq(200) } }
    call(:post, "/api/staff/#{tobias}/sign-out", {})
    expect(person("Tobias Wren")).to include("sessions" => 0)
  end

  it "choose a new password by a link, after which the old one and whoever used it are out" do
    tobias = staff(loft, email: "tobias@netloft.example", name: "Tobias Wren")
    elsewhere { sign_in(email: "tobias@netloft.example") }
    link = call(:post, "/api/staff/#{tobias}/reset", {})
    expect(taken(link)).to eq("email" => "tobias@netloft.example")
    expect(person("Tobias Wren")).to include("sessions" => 0)
    elsewhere do
      sign_in(email: "tobias@netloft.example")
      expect(status).to eq(401)
      sign_in(email: "tobias@netloft.example", password: password)
      expect(status).to eq(200)
    end
  end

  it "stand in the trail with what was done about them" do
    invited
    call(:put, "/api/staff/#{staff(loft, email: "t@netloft.example")}/role", { role: "helper", version: 1 })
    shown = call(:get, "/api/audit")["entries"].map { |line| line["says"] }
    expect(shown).to include("invited somebody to work here", "changed what somebody may do")
  end

  describe "on an empty server" do
    before do
      db[:staff_links].delete
      db[:account_active_session_keys].delete
      db[:account_password_hashes].delete
      db[:accounts].delete
      db[:gyms].delete
    end

    let(:typed) do
      {
        gym: "The Rope Walk",
        locale: "de-DE",
        length_unit: "cm",
        name: "Ingrid Tarn",
        email: "Ingrid@ropewalk.example",
        password: password
      }
    end

    it "the first begins it with the code that was printed, once" do
      expect(call(:get, "/auth/first")).to eq("needed" => true, "by_email" => false)
      code = Verglas::Store::StaffLinks.new(db).make_first
      older = code
      code = Verglas::Store::StaffLinks.new(db).make_first
      expect(code).to match(/\A([2-9A-HJ-NP-Z]{4}-){3}[2-9A-HJ-NP-Z]{4}\z/)
      [older, "AAAA-BBBB-CCCC-DDDD"].each do |wrong|
        expect(call(:post, "/auth/first", { **typed, code: wrong })).to include(
          "code" => "code_wrong",
          "path" => "/code"
        )
      end
      expect(call(:post, "/auth/first", { **typed, code: code.downcase.delete("-") })).to eq(
        "email" => "ingrid@ropewalk.example"
      )
      sign_in(email: "ingrid@ropewalk.example", password: password)
      expect(call(:get, "/api/me")).to include(
        "role" => "lead",
        "gym" => {
          "name" => "The Rope Walk",
          "locale" => "de-DE",
          "idle_minutes" => 5
        }
      )
      expect(call(:get, "/auth/first")).to eq("needed" => false, "by_email" => false)
      expect([call(:post, "/auth/first", { **typed, code: code })["code"], status]).to eq(["begun_already", 409])
    end
  end
end
