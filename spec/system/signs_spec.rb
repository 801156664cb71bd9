# frozen_string_literal: true

require "system_helper"

RSpec.describe "Signs in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:person) { matteus(loft, account) }

  before { sign_in }

  def watch_two_marks_off
    bench_of(person, "Leg extension 1")
    2.times { find("[aria-label^='Back pad one mark down']").click }
    click_button "Watch"
  end

  it "turns a sign into the notch to move, moves it, and looks at the sign again" do
    watch_two_marks_off
    find("label", text: "Roller climbs as the leg straightens").click
    within("[data-sign=roller_climbs]") do
      expect(page).to have_css("[data-next-move='back pad']", text: "Back pad to 4:")
      find("summary", text: "What else may be behind it").click
      expect(page).to have_css("[data-cause=knee_ahead]", text: "Back pad to 3:")
      expect_accessible("a sign explained")
      within("[data-next-move]") { click_button "Move it" }
      expect(page).to have_css("[data-next-move='']", text: "Watch a repetition again")
    end
    within("[data-tried='0']") { find("label", text: "Better").click }
    kept
    draft = first_fitting
    expect([draft[:marks].to_h["back pad"], draft[:signs]]).to eq(["4", ["roller_climbs"]])
    expect(draft[:trail]).to eq(
      [{ "sign" => "roller_climbs", "adjuster" => "back pad", "from" => "2", "to" => "4", "outcome" => "better" }]
    )
  end

  it "keeps a watched repetition with nothing to see as a reading, and says so on the record" do
    bench_of(person, "Leg extension 1")
    click_button "Watch"
    click_button "Nothing to see"
    expect(page).to have_text("Watched at these marks. It counts as a reading.")
    expect(page).to have_css("[data-next-move]", text: "No mark beside these sits better.")
    kept
    draft = first_fitting
    expect(draft[:work]["watched"]).to eq([{ "marks" => draft[:marks].to_h, "seen" => [] }])
    page.refresh
    expect(page).to have_text("Watched at these marks.")
  end

  it "scrolls the list of signs, never the bench from under the figure" do
    watch_two_marks_off
    find("label", text: "Knee aches at the start").click
    expect(page).to have_css("[data-sign=knee_aches_at_start] [data-cause]")
    expect(evaluate_script("document.scrollingElement.scrollHeight - window.innerHeight")).to be <= 0
    expect(evaluate_script("document.scrollingElement.scrollTop")).to eq(0)
  end

  it "names what the numbers deny without a notch for it, with what to do where it is seen all the same" do
    watch_two_marks_off
    find("label", text: "Roller slides to the foot as the leg straightens").click
    within("[data-cause=knee_behind]") do
      expect(page).to have_text("the numbers say otherwise")
      expect(page).to have_text("If you see it all the same:")
      expect(page).to have_no_button("Move it")
    end
  end
end
