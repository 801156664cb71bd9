# frozen_string_literal: true

require "system_helper"
require_relative "../support/demo_gym"

# The demo gym in a browser: what somebody does in the time they have, and a group that goes round.
RSpec.describe "A session in the browser" do
  let!(:loft) { Verglas::Store::Gym.new(db, DemoGym.lay(db)) }

  before { sign_in(password: Verglas::Demo::Loader::SIGN_IN[:password]) }

  def person(name) = loft.clients.dataset.where(name: name).order(:created_at).get(:id)
  def blocks = all("[data-block]").map { |block| block["data-block"] }
  def says = find("[data-plan-says]").text

  # By hand on another page: a caution on somebody's back, not cleared.
  def with_back_caution(id)
    page.evaluate_async_script(<<~JS, "/api/clients/#{id}/cautions", SecureRandom.uuid)
      fetch(arguments[0], {
        method: "PUT",
        headers: { "content-type": "application/json", "idempotency-key": arguments[1] },
        body: JSON.stringify({ caution: "back", version: null })
      }).then((answer) => arguments[2](answer.status));
    JS
  end

  it "stands as soon as somebody is found, and is made anew by every touch" do
    visit "/sessions"
    find("input[placeholder^='Two letters']").send_keys("Perp")
    find("[role=option], a", text: "Perpetua Lowe", match: :first).click
    expect(page).to have_css("[data-block='Hack squat 1']")
    expect(says).to match(/About \d+ minutes, seldom more than \d+/)
    expect_accessible("a plan")
    find("[data-line-end]").send_keys(*([:left] * 12))
    expect(page).to have_css("[data-session-line='18']")
    expect(page).to have_css("[data-beside]", text: "minutes")
    short = blocks
    find("[data-line-end]").send_keys(*([:page_up] * 6))
    expect(page).to have_css("[data-session-line='48']")
    expect(page).to have_css("[data-block]", minimum: short.size + 1)
    find("[data-block='Hack squat 1']").click
    expect(page).to have_css("[data-chosen-block]", text: "It works several joints: first, while fresh.")
    click_on "Leave out"
    expect(page).to have_no_css("[data-block='Hack squat 1']")
    within("[data-beside='Hack squat 1']") { click_on "Put in" }
    expect(page).to have_css("[data-block='Hack squat 1']")
    first_two = blocks.first(2)
    find("[data-block='#{first_two.first}']").click
    click_on "Later"
    expect(page).to have_css("[data-block]:nth-child(1)[data-block='#{first_two.last}']")
    click_on "Order by the rules again"
    expect(page).to have_css("[data-block]:nth-child(1)[data-block='#{first_two.first}']")
    page.refresh
    expect(page).to have_css("[data-session-line='48']")
  end

  it "runs with a back caution to its end, one machine taken on the way, and keeps what was left with why" do
    id = person("Perpetua Lowe")
    expect(with_back_caution(id)).to eq(200)
    visit "/clients/#{id}/session?minutes=30"
    expect(page).to have_css("[data-block]", minimum: 2)
    expect(page).to have_css("[data-kept-off='Hack squat 1']", text: "Belt squat 1 stands for it.")
    planned = blocks
    click_on "Begin at #{planned.first}"
    expect(page).to have_css("[data-pace]", text: "as planned")
    expect(page).to have_css("[data-at-hand='#{planned.first}']")
    expect_accessible("a session at work")
    if page.has_button?("Fit on #{planned.first}", wait: 1)
      click_on "Leave out #{planned.first}"
      expect(page).to have_no_css("[data-block='#{planned.first}']")
    else
      click_on "Hard, clean"
      expect(page).to have_css("[data-set='1']")
      within("[data-set='1']") { click_on "Take back" }
      expect(page).to have_no_css("[data-set='1']")
      click_on "Hard, clean"
      expect(page).to have_css("[data-set='1']")
    end
    now = find("[data-at-hand]")["data-at-hand"]
    click_on "#{now} is taken"
    expect(page).to have_button("#{now} is free again")
    click_on "End here"
    expect(page).to have_text("This session has ended.")
    expect(page).to have_css("[data-left-out]", minimum: 1)
    session = Verglas::Store::Sealed.open(:sessions, db[:sessions].first)
    expect(session[:state]).to eq("done")
    expect(session[:left_out].map { |one| one["why"] }.uniq - %w[taken time by_hand]).to eq([])
  end

  it "leads somebody new from machine to machine, each fitted and accepted before the next, to a printed card" do
    visit "/clients/#{person("Zéphyrine Maddox")}/session?minutes=30"
    expect(page).to have_text("A first visit")
    planned = blocks
    click_on "Begin at #{planned.first}"
    planned
      .first(2)
      .each do |machine|
        expect(page).to have_css("[data-at-hand='#{machine}']")
        click_on "Fit on #{machine}"
        expect(page).to have_css("[data-step]", minimum: 2)
        click_on "Next:", match: :first while page.has_button?("Next:", wait: 0.5)
        click_on "Accept and write down"
        click_on "Go on with the session"
        expect(page).to have_css("[data-done][data-block='#{machine}']")
      end
    expect(db[:fittings].where(state: "accepted", client_id: person("Zéphyrine Maddox")).count).to eq(2)
    status = page.evaluate_async_script(<<~JS, "/api/clients/#{person("Zéphyrine Maddox")}/card.pdf")
      fetch(arguments[0]).then((answer) => arguments[1]([answer.status, answer.headers.get("content-type")]));
    JS
    expect(status).to eq([200, "application/pdf"])
  end

  it "loses no set while the network is away" do
    visit "/clients/#{person("Imre Talbot-Vane")}/session?minutes=30"
    click_on "Begin at", match: :first
    expect(page).to have_css("[data-at-hand]")
    expect(page).to have_button("Hard, clean")
    offline do
      2.times { click_on "Hard, clean" }
      expect(page).to have_css("[data-waiting-sets='2']")
    end
    expect(page).to have_css("[data-set='2']", wait: 12)
    expect(page).to have_no_css("[data-waiting-sets]")
    expect(db[:sets].where { done_at > Time.now - 60 }.count).to eq(2)
  end

  it "goes on on another tablet, and a set that is written there counts here" do
    id = person("Imre Talbot-Vane")
    visit "/clients/#{id}/session?minutes=30"
    click_on "Begin at Leg curl 1"
    expect(page).to have_css("[data-at-hand='Leg curl 1']")
    here = page.current_path
    at_another_tablet do
      sign_in(password: Verglas::Demo::Loader::SIGN_IN[:password])
      visit "/sessions"
      find("a", text: "Imre Talbot-Vane").click
      expect(page.current_path).to eq(here)
      click_on "Hard, clean"
      expect(page).to have_css("[data-set='1']")
    end
    page.refresh
    expect(page).to have_css("[data-block='Leg curl 1']", text: "1 of 2 sets")
  end

  it "takes a group of six over four stations, round by round, where one of them is barred" do
    visit "/sessions"
    find("a", text: "Tuesday circle").click
    expect(page).to have_css("[data-group-grid='0']")
    expect(page).to have_css("td", text: "rests this round", minimum: 1)
    expect_accessible("a group")
    expect(page).to have_no_text(/caution|barred/i)
    click_on "Begin round 1"
    expect(page).to have_css("[data-group-grid='1']")
    expect(page).to have_css("[data-round-clock] b", text: /0:5\d|1:00/)
    now = all("[data-round='1'] td").map(&:text)
    click_on "Next round"
    expect(page).to have_css("[data-group-grid='2']")
    expect(page).to have_css("[data-round='2'] th", text: "now")
    expect(all("[data-round='2'] td").map(&:text)).not_to eq(now)
    click_on "Who goes along"
    find("input[placeholder^='Two letters']").send_keys("Casp")
    find("[role=option]", text: "Caspian Thwaite").click
    expect(page).to have_css("[role=dialog] li", text: "Caspian Thwaite")
    expect_accessible("who goes along")
    within("[role=dialog]") { click_on "Close" }
    expect(page).to have_css("[data-round='3'] td:nth-of-type(1)[data-cell='Caspian']")
    page.refresh
    expect(page).to have_css("[data-group-grid='2']")
  end

  it "writes a programme, and plans its day" do
    visit "/sessions/programmes/new"
    fill_in "What it is called", with: "Legs on Fridays"
    click_on "Add a day"
    expect(page).to have_css("h2", text: "Day B")
    expect_accessible("a programme")
    page.refresh
    expect(page).to have_field("What it is called", with: "Legs on Fridays")
    click_on "Keep the programme"
    expect(page).to have_css("a", text: "Legs on Fridays")
    visit "/clients/#{person("Perpetua Lowe")}/session"
    find("button", text: "From the card").click
    find("[role=option]", text: "Legs on Fridays: A").click
    expect(page).to have_css("[data-block]", count: 1)
  end
end
