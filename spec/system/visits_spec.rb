# frozen_string_literal: true

require "system_helper"

# A returning client: set up, lifted, written down.
RSpec.describe "A visit in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) do
    machine(loft, "slide_back", name: "Leg extension 1").tap do |row|
      loft.machines.update(
        row[:id],
        version: 1,
        by: account,
        loading: {
          kind: "stack",
          unit: "kg",
          masses: [5, 10, 15, 20, 25, 30]
        },
        description: {
          constants: row[:constants],
          adjusters: row[:adjusters],
          exercises: {
          },
          taped: {
          }
        }
      )
    end
  end
  let!(:person) { client(loft, account, name: "Ingrid Vass", sex: "woman", stature: 1700, seat_to_kneecap: 604) }

  before do
    sign_in
    id = asked("/api/fittings", client_id: person[:id], machine_id: here[:id])["id"]
    row = first_fitting
    work =
      Verglas::Application::Sheet::NO_WORK.merge("load_kg" => 20, "repetitions" => 10, "sets" => 2, "last" => "easy")
    asked(
      "/api/fittings/#{id}/acceptance",
      marks: row[:marks].to_h,
      version: 1,
      work: work,
      reason: "As far as it goes."
    )
  end

  it "takes four touches from the floor to a set that is written down" do
    visit "/"
    touches = 0
    touch = ->(element) { (touches += 1) && element.click }
    touch.call(find("a", text: "Ingrid Vass", match: :first))
    touch.call(find("a", text: "Set up"))
    expect(page).to have_css("[data-lifted='25 kg']", text: "Easy last time: one step up.")
    expect(page).to have_button("Set 1 of 2 done", disabled: true)
    touch.call(find("button", text: "Hard, clean"))
    touch.call(find("button", text: "Set 1 of 2 done"))
    expect(page).to have_css("[data-set='1']", text: "25 kg × 10")
    expect(touches).to eq(4)
    expect(page).to have_button("Set 2 of 2 done", disabled: true)
    expect(page).to have_css("[data-rest=resting]")
    expect_accessible("a visit")
    expect_nothing_cut("a visit")
    click_link "All visits"
    expect(page).to have_css("[data-visit-line] [data-outcome]", count: 2)
    expect(page).to have_css("tbody tr", count: 2)
    expect_accessible("all visits")
    expect_nothing_cut("all visits")
  end

  it "asks on a figure where else it was felt, stops at a joint, and goes on once that is taken back" do
    visit "/fittings/#{first_fitting[:id]}/set-up"
    click_button "Elsewhere"
    expect_accessible("where it was felt")
    find("[data-region=knee]", match: :first).click
    expect(page).to have_css("[data-felt=knee]")
    click_button "Stop here, and write it down"
    expect(page).to have_text("Over for today on this machine")
    expect(page).not_to have_button("Hard, clean")
    click_button "Take back"
    expect(page).to have_button("Hard, clean")
    find("button[aria-label='One step down, to 20 kg']").click
    expect(page).to have_css("[data-lifted='20 kg']", text: "Not 25 kg as told")
    click_button "Not reached"
    click_button "Set 1 of 2 done"
    expect(page).to have_css("[data-set='1']", text: "not reached")
    resize(390, 844)
    expect_nothing_cut("a visit on a phone")
  end
end
