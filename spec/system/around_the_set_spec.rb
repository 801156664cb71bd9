# frozen_string_literal: true

require "system_helper"

# What an exercise is for, and what happens around the set: emphasis, moves in and out, cues, help.
RSpec.describe "Around the set" do
  let!(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let(:loading) { { kind: "stack", unit: "kg", masses: (1..16).map { |step| step * 5 }, reach: false } }

  def measured(person)
    row = loft.clients.find(person[:id])
    found = { hip_bend: 125, ankle: 36 }.to_h { |limit, deg| [limit.to_s, { "deg" => deg, "reading" => deg }] }
    loft.clients.measure(person[:id], version: row[:version], limits: row[:limits].merge(found))
  end

  it "is done for the hip: told beside even and knee, opened as a bench of its own" do
    machine(loft, "incline_sled", name: "Leg press 1")
    person = client(loft, account, sex: "woman", stature: 1648, floor_to_knee_top: 519)
    measured(person)
    sign_in at: "/clients/#{person[:id]}"
    find("[data-machine='Leg press 1']").click_button "Fit"
    click_button "Done for: Even"
    expect(page).to have_text(/Heels \d+ mm up the plate: knees \d+, hips \d+ of 100/, count: 3)
    expect_accessible("what an exercise is done for")
    within("[role=dialog]") { find("button", text: "Hip", exact_text: true).click }
    expect(page).to have_button("Done for: Hip")
    expect(page).to have_text("Leg press 1: hip")
    expect(page).to have_css("[data-effort-track] [data-effort-of]", count: 2)
  end

  it "has its moves picked and put in order, refuses an order that cannot be, and tells them at the bench" do
    here = machine(loft, "curl_plain", name: "Leg curl 1")
    sign_in at: "/machines/#{here[:id]}/correct"
    within("[data-moves=out]") do
      ["let the load come to rest", "draw the pin, thigh pad up", "lift the thigh pad a little"].each do |move|
        pick(move)
        click_button "Add"
      end
    end
    click_button "Keep"
    expect(page).to have_text("comes after “lift the thigh pad a little")
    expect_accessible("moves that cannot be done in that order")
    within("[data-moves=out]") { find("button[aria-label^='Earlier: lift the thigh pad']").click }
    click_button "Keep"
    expect(page).to have_text("Let the load come to rest, lift the thigh pad a little")
  end

  # From what can be added next.
  def pick(move)
    find("button[aria-haspopup=listbox]").click
    page.document.find("[role=option]", text: move).click
  end

  it "hears how it went on after a cue, and counts help apart" do
    here = machine(loft, "slide_back", name: "Leg extension 1", loading: loading)
    person = matteus(loft, account)
    work = { **Verglas::Application::Sheet::NO_WORK, "load_kg" => 40, "repetitions" => 10, "sets" => 2 }
    fitting = accepted_as_advised(loft, person, here, account, work: work)
    sign_in at: "/fittings/#{fitting}/set-up"
    choose_sign "Leg let fly back, the load slams"
    within("[data-cue=brake_all_the_way]") { click_button "Better" }
    find("button", text: "Hard, clean").click
    find("button", text: /Set 1/).click
    expect(page).to have_css("[data-set='1']")
    find("summary", text: "With help, or lighter at once").click
    expect(page).to have_text("Counted apart")
    expect_accessible("help at a set")
    expect(loft.db[:gym_cues].select_map(%i[name helped tried])).to eq([["brake_all_the_way", 1, 1]])
    visit "/rules/cues"
    expect(page).to have_text("helped 1 of 1 here")
    fill_in "What is said", with: "Slow as the tide."
    click_button "Add a cue"
    expect(page).to have_text("“Slow as the tide.”")
    expect_accessible("the table of cues")
  end

  def choose_sign(title)
    find("button", text: "None").click
    page.document.find("[role=option]", text: title).click
  end
end
