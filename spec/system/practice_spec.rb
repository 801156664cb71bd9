# frozen_string_literal: true

require "system_helper"

# Somebody who learns the job, on people who are made up.
RSpec.describe "Practising in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }

  before do
    staff(loft, email: "tobias@netloft.example", name: "Tobias Wren", role: "helper")
    sign_in
  end

  it "goes from the same ten for everybody through one client to the debrief, and a lead looks at it" do
    go "/practice"
    expect(page).to have_text("Nothing was given.")
    fill_in "What they are called", with: "First week"
    within("[role=group]") { find("label", text: "Leg extension 1").click }
    click_on "Give them"
    expect(page).to have_button("Number 10, Leg extension 1")
    expect_accessible("practice")
    expect_nothing_cut("practice")
    asked("/auth/logout")
    sign_in(email: "tobias@netloft.example", at: "/practice")
    expect(page).to have_no_text("Give ten to everybody")
    click_on "Number 1, Leg extension 1"
    expect(page).to have_css("[data-figure='practice']")
    click_on "Ask about cautions"
    expect(page).to have_text(/“(No, nothing|Yes: )/)
    click_on "Height"
    expect(page).to have_text(/Height\s+\d+\.\d cm/)
    find("label", text: "Hips lift", match: :first).click
    click_on "Watch: I see these 1"
    expect(page).to have_css("[data-look='1']")
    expect_accessible("a client who is made up")
    expect_nothing_cut("a client who is made up")
    click_on "Accept these marks"
    expect(page).to have_css("[data-debrief]").and have_css("[data-step='4']")
    expect_accessible("the debrief")
    expect_nothing_cut("the debrief")
    asked("/auth/logout")
    sign_in(at: "/practice")
    expect(page).to have_text(/Tobias Wren\s+1 done/)
    click_on "I looked at it"
    expect(page).to have_text("Looked at by Maren Oldcastle")
    click_on "Make them an instructor"
    expect(page).to have_no_button("Make them an instructor")
    expect(db[:accounts].where(name: "Tobias Wren").get(:role)).to eq("instructor")
  end
end
