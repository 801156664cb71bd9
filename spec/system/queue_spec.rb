# frozen_string_literal: true

require "system_helper"

RSpec.describe "Who comes next, in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }

  before do
    client(loft, account, name: "Ingrid Vass", sex: "woman", stature: 1580)
    client(loft, account, name: "Wendell Achterberg", sex: "man", stature: 1950)
    sign_in
    visit "/machines/#{here[:id]}"
    click_link "Next here"
  end

  def add(name)
    fill_in "Find a client", with: name[0, 3]
    find("[role=option]", text: name).click
    expect(page).to have_css("[data-waiting='#{name}']")
  end

  it "adds, reorders and lets go, and fits the first with the moves to the next told" do
    expect(page).to have_text("Nobody waits")
    add("Ingrid Vass")
    add("Wendell Achterberg")
    within("[data-waiting='Ingrid Vass']") { click_button "Later" }
    expect(page).to have_css("[data-waiting]:first-child", text: "Wendell Achterberg")
    within("[data-waiting='Wendell Achterberg']") { click_button "Fit" }
    expect(page).to have_css("[data-adjuster]")
    find("[data-step='@working'] button").click
    click_button "Next: write down"
    find("textarea[required]").fill_in(with: "As far as it goes.") if page.has_css?("textarea[required]", wait: 1)
    click_button "Accept and write down"
    expect(page).to have_css("h1", text: "Wendell Achterberg")
    visit "/machines/#{here[:id]}/queue"
    within("[data-waiting='Wendell Achterberg']") { click_button "Gone" }
    within("[data-waiting='Ingrid Vass']") do
      expect(page).to have_text(/Back pad \d → \d, (one|two|three|four) (up|down)/)
    end
    expect_accessible("who comes next")
    expect_nothing_cut("who comes next")
  end
end
