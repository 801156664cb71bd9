# frozen_string_literal: true

require "system_helper"

RSpec.describe "Erasing somebody, in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:person) { client(loft, account, name: "Ingrid Vass", sex: "woman", stature: 1700) }

  it "is offered to whoever leads the gym alone, and done once the name was typed" do
    sign_in at: "/clients/#{person[:id]}/details"
    expect(page).to have_text("Correct Ingrid Vass")
    expect(page).not_to have_button("Erase them")
    db[:accounts].where(id: account).update(role: "lead")
    visit "/clients/#{person[:id]}/details"
    click_button "Erase them"
    expect(page).to have_button("Erase for good", disabled: true)
    expect_accessible("erasing somebody")
    fill_in "Type the name", with: "Ingrid Vass"
    click_button "Erase for good"
    expect(page).to have_text("Clients")
    expect(page).not_to have_text("Ingrid Vass")
    expect(db[:clients].count).to eq(0)
  end
end
