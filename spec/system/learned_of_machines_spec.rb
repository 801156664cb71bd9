# frozen_string_literal: true

require "system_helper"

RSpec.describe "What a machine's fittings say of it" do
  let!(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }

  # Ten people whom somebody fitted by eye: the knee was seen so far ahead of the pivot at the marks that are advised.
  def fitted(ahead_mm)
    10.times do |number|
      stature = 1600 + (25 * number)
      person =
        client(
          loft,
          account,
          name: "Somebody of #{stature}",
          stature: stature,
          seat_to_kneecap: (stature * 0.35).round,
          floor_to_knee_top: (stature * 0.31).round
        )
      accepted_as_advised(loft, person, here, account) do |drawn|
        { knee_off_mm: ahead_mm + drawn.advice.evaluation.quantities[:knee_s_mm].round }
      end
    end
  end

  it "is taken into the description after the tape was asked, and then stands there with its reason" do
    fitted(25)
    sign_in at: "/machines/#{here[:id]}"
    within("[data-by-fittings=back_face]") do
      expect(page).to have_text(/Sits \d+ mm further forward than taped: 10 fittings/)
      expect(page).to have_css("svg[role=img] circle", count: 10)
      find("button", text: /Take in .* behind the pivot/).click
    end
    expect(page).to have_text("tape it again first")
    expect_accessible("the question before a length is taken in")
    find("button", text: /Taped again: take/).click
    expect(page).to have_text("(by 10 fittings)")
    expect(page).to have_no_css("[data-by-fittings]")
    expect(loft.machines.find(here[:id])[:number]).to eq(2)
  end

  it "says which single change would fit more people, when somebody asks" do
    [1700, 1960, 1990].each { |stature| client(loft, account, name: "Somebody of #{stature}", stature: stature) }
    sign_in at: "/machines/#{here[:id]}"
    click_button "What would fit more people?"
    within("[data-widening]") do
      expect(page).to have_text("of 3 are in line today", wait: 15)
      expect(page).to have_text(/\d more in line/)
    end
    click_link "Machines"
    click_link "Whom they fit"
    expect(page).to have_css("[data-who-fits='Leg extension 1']", wait: 15)
    expect(page).to have_text("The reading that helps most people", wait: 15)
  end
end
