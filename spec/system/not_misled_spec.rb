# frozen_string_literal: true

require "system_helper"

# What could hurt somebody or cost their trust, as an instructor meets it.
RSpec.describe "Nobody is misled" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) { machine(loft, "curl_plain", name: "Leg curl 1") }
  let!(:person) { matteus(loft, account, thigh_depth: 150) }

  before { sign_in }

  def draft = Verglas::Store::Sealed.open(:fittings, db[:fittings].order(:created_at).last)
  def to(step) = find("[data-step='#{step}'] button").click

  it "says barred first, with nothing green beside it, no next step and no plain Fit on the card" do
    loft.cautions.put(person[:id], "knee", version: nil, by: account, note: "")
    visit "/clients/#{person[:id]}"
    within("[data-barred]", text: "Leg curl 1") do
      expect(page).to have_text("Barred. Knee pain or injury")
      expect(page).to have_no_button("Fit")
    end
    loft.fittings.open(
      client_id: person[:id],
      machine_id: here[:id],
      description_number: 1,
      marks: {
        "back pad" => "5",
        "roller" => "D",
        "thigh pad" => "7"
      },
      by: account
    )
    visit "/fittings/#{draft[:id]}"
    expect(page).to have_css("[role=alert]", text: "Barred.")
    expect(page).to have_no_css("main", text: /in line|set them all now|Next:/)
    expect(page).to have_link("To the card")
    expect_accessible("a barred bench")
  end

  it "stops a curl where a clinician says: a tick on the arc, the words, and no leg past it" do
    loft.cautions.put(
      person[:id],
      "knee_ligament",
      version: nil,
      by: account,
      note: "",
      cleared_by: "Dr Fenwick",
      cleared_on: "2026-03-02",
      degrees: {
        "knee_flexion" => [5, 75]
      }
    )
    bench_of(person, "Leg curl 1")
    expect(page).to have_text("Because of the cautions: knee between 5° and 75° of bend")
    to "@working"
    expect(find("[data-step='@working']")).to have_text("Stop at 75° of knee bend.")
    expect(page).to have_css("[data-part=target]")
    expect(page).to have_css("[data-part=travelled]", visible: :all)
  end

  it "accepts nothing while a sign that says never is ticked, and leads on where the numbers deny it" do
    bench_of(person, "Leg curl 1")
    to "@watch"
    find("[data-sign=pad_on_kneecap] label").click
    expect(find("[data-sign=pad_on_kneecap]")).to have_css(
      "[role=alert]",
      text: "Nothing is accepted while this is seen"
    )
    expect(find("[data-sign=pad_on_kneecap]")).to have_text("but you saw it")
    expect(page).to have_css("[role=alert]", text: "It was seen, so nothing is accepted until it is gone.")
    expect(page).to have_no_css("[data-finding]", text: "in line")
    to "@write"
    click_button "Accept and write down"
    expect(page).to have_css("[role=alert]", text: "seen on the kneecap")
    expect(draft[:state]).to eq("draft")
    to "@watch"
    find("[data-sign=pad_on_kneecap] label").click
    to "@write"
    click_button "Accept and write down"
    expect(page).to have_text("Accepted fittings")
  end

  it "takes an accepted fitting back, with a reason that stays" do
    bench_of(person, "Leg curl 1")
    to "@write"
    click_button "Accept and write down"
    find("a", text: /\ALeg curl 1, /).click
    click_button "Made by mistake"
    within("[role=dialog]") do
      find("label", text: "Wrong load").click
      expect_accessible("a fitting being taken back")
      click_button "Take it back"
    end
    expect(page).to have_css("[role=alert]", text: "Taken back by Maren Oldcastle: Wrong load.")
    click_link "To the card"
    expect(find("[data-machine='Leg curl 1']")).to have_text("predicted from")
    expect(page).to have_text("taken back: Wrong load")
  end

  it "forgets an earlier press of Accept when a colleague changed the fitting meanwhile" do
    bench_of(person, "Leg curl 1")
    to "@write"
    kept
    loft.fittings.save(
      draft[:id],
      version: draft[:version],
      by: account,
      marks: draft[:marks].to_h.merge("roller" => "A")
    )
    # What is typed is still on its way when Accept is pressed, however quick or slow this machine is.
    page.execute_script(<<~JS)
      const fetch = window.fetch;
      const gone = new Promise((go) => { window.goOn = go; });
      window.fetch = (input, init) => (input.method === "PATCH" ? gone.then(() => fetch(input, init)) : fetch(input, init));
    JS
    fill_in "Note", with: "Mine."
    click_button "Accept and write down"
    page.execute_script("window.goOn()")
    expect(page).to have_css("[role=dialog]", text: "changed this fitting")
    click_button "Take theirs"
    expect(page).to have_no_css("[role=dialog]")
    sleep 1
    expect(draft[:state]).to eq("draft")
    expect(page).to have_button("Accept and write down")
  end

  it "asks to sign in again when the session ended, and goes on with what was there" do
    bench_of(person, "Leg curl 1")
    kept
    db[:account_active_session_keys].delete
    find("[aria-label^='Roller one mark']", match: :first).click
    expect(page).to have_button("Sign in")
    fill_in "Email", with: "maren@netloft.example"
    fill_in "Password", with: Given::PASSWORD
    click_button "Sign in"
    kept
    expect(draft[:marks].to_h["roller"]).to eq(mark("roller"))
    expect(draft[:version]).to be > 1
  end

  it "leaves nothing on the tablet after signing out" do
    bench_of(person, "Leg curl 1")
    page.execute_script("localStorage.setItem('verglas.unsaved.#{account}.x', '{}')")
    click_button "Sign out"
    expect(page).to have_button("Sign in")
    expect(
      page.evaluate_script("Object.keys(localStorage).filter((name) => name.startsWith('verglas.unsaved'))")
    ).to be_empty
  end

  it "shows every adjuster of a machine with four and cushions without scrolling, at 1280 x 800" do
    row = machine(loft, "curl_slide", name: "Leg curl 2")
    loft.machines.update(row[:id], version: 1, by: account, cushions_allowed: true)
    loft.equipment.replace({ "cushion_back" => [20, 40] })
    resize(1280, 800)
    bench_of(person, "Leg curl 2")
    script =
      "[...document.querySelectorAll('[data-adjuster], [data-aid]')].map((one) => " \
        "[one.getBoundingClientRect().bottom, one.parentElement.getBoundingClientRect().bottom])"
    below = page.evaluate_script(script)
    expect(below.size).to eq(5)
    expect(below).to all(satisfy { |bottom, edge| bottom <= edge + 1 })
  ensure
    resize(1280, 800)
  end
end
