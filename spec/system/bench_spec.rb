# frozen_string_literal: true

require "system_helper"

RSpec.describe "The bench in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:person) { matteus(loft, account) }
  let(:advised) { { "back pad" => "4", "roller" => "D", "start" => "3" } }
  let(:draft) do
    loft
      .fittings
      .open(client_id: person[:id], machine_id: here[:id], description_number: 1, marks: advised, by: account)
      .first
  end

  before { sign_in }

  def open_bench
    visit "/fittings/#{draft[:id]}"
    expect(page).to have_css("[data-figure=side]")
  end

  def circle(part) = find("[data-figure=side] [data-part=#{part}]", visible: :all)

  # Where an SVG circle's centre lies on the screen.
  def centre(part)
    box = page.evaluate_script(<<~JS)
      (() => {
        const box = document.querySelector('[data-figure=side] [data-part=#{part}]').getBoundingClientRect();
        return [box.x + box.width / 2, box.y + box.height / 2];
      })()
    JS
    box.map(&:to_f)
  end

  def pixels_per_mm
    box, view =
      page.evaluate_script(
        "(() => { const svg = document.querySelector('[data-figure=side]'); return [svg.getScreenCTM().a, " \
          "svg.viewBox.baseVal.width]; })()"
      )
    expect(view).to be > 1000
    box.to_f
  end

  it "draws what it says, to the pixel: knee, pivot and roller" do
    open_bench
    4.times do |step|
      evaluation = Verglas::Application::Meeting.of(loft, draft[:id]).evaluation(page_marks)
      expect(circle("knee")["cx"].to_f).to be_within(0.05).of(evaluation.quantities[:knee_s_mm])
      expect(circle("knee")["cy"].to_f).to be_within(0.05).of(-evaluation.quantities[:knee_n_mm])
      expect([circle("pivot-centre")["cx"].to_f, circle("pivot-centre")["cy"].to_f]).to eq([0.0, 0.0])
      sleep 0.2
      across, down = centre("knee").zip(centre("pivot-centre")).map { |knee, pivot| (knee - pivot) / pixels_per_mm }
      expect(across).to be_within(1.0).of(evaluation.quantities[:knee_s_mm])
      expect(-down).to be_within(1.0).of(evaluation.quantities[:knee_n_mm])
      roller = find("[data-figure=side] [data-part=roller] circle", match: :first, visible: :all)
      expect(Math.hypot(roller["cx"].to_f, roller["cy"].to_f)).to be_within(0.1).of(
        evaluation.parameters[:roller_reach]
      )
      expect(finding("offset")).to eq("#{evaluation.quantities[:offset_mm].round} mm")
      find("[aria-label^='Back pad one mark down']").click if step < 3
      sleep 0.1
    end
  end

  def page_marks = ["back pad", "roller", "start"].to_h { |label| [label, mark(label)] }

  it "changes everything at once when an adjuster is stepped" do
    open_bench
    before = [
      finding("offset"),
      finding("crease_gap"),
      finding("contact"),
      finding("start"),
      page.text[/Roller creeps[^.]+\./]
    ]
    find("[aria-label='Back pad one mark down, to 3']").click
    expect(page).to have_css("[data-finding=offset]", text: "off")
    after = [
      finding("offset"),
      finding("crease_gap"),
      finding("contact"),
      finding("start"),
      page.text[/Roller creeps[^.]+\./]
    ]
    before.zip(after) { |one, other| expect(other).not_to eq(one) }
    expect(page).to have_button("Back to the advised")
    expect(find("[data-figure=side]")["aria-label"]).to include("ahead of the pivot")
  end

  it "offers the step that helps, and it does" do
    open_bench
    find("[aria-label='Back pad one mark down, to 3']").click
    click_button(text: /\ABack pad to 4: knee 13 mm ahead/)
    expect(mark("back pad")).to eq("4")
    expect(page).to have_css("[data-finding=offset]", text: "in line")
  end

  it "shows in the lens where each mark puts the knee, the chosen one large" do
    open_bench
    marks =
      all("[data-figure=lens] [data-mark]").to_h { |dot| [dot["data-mark"], [dot["cx"].to_f.round, dot["r"].to_f]] }
    expect(marks["4"].first).to eq(12)
    expect(marks["5"].first).to eq(-13)
    expect(marks["4"].last).to be > marks["5"].last
  end

  it "keeps the draft across a reload" do
    open_bench
    find("[aria-label^='Roller one mark down']").click
    kept
    visit current_path
    expect(page).to have_css("[data-figure=side]")
    expect(mark("roller")).to eq("C")
    kept
    expect(loft.fittings.find(draft[:id])[:marks]["roller"]).to eq("C")
  end

  it "keeps what could not be handed over, says so, and hands it over by itself once the server is back" do
    open_bench
    offline do
      find("[aria-label^='Roller one mark down']").click
      expect(page).to have_css("[data-saving=waiting]", text: "kept on this tablet")
      expect(loft.fittings.find(draft[:id])[:marks]["roller"]).to eq("D")
    end
    expect(page).to have_css("[data-saving=kept]")
    expect(loft.fittings.find(draft[:id])[:marks]["roller"]).to eq("C")
  end

  it "keeps marks that were never handed over across a reload" do
    open_bench
    offline do
      find("[aria-label^='Roller one mark down']").click
      expect(page).to have_css("[data-saving=waiting]")
    end
    visit current_path
    expect(page).to have_css("[data-adjuster=roller] output", text: "C")
    expect(page).to have_css("[data-saving=kept]")
  end

  it "never says kept of what is not kept yet" do
    open_bench
    page.execute_script(<<~JS)
      window.said = [];
      const status = document.querySelector("[data-saving]");
      new MutationObserver(() => window.said.push(status.dataset.saving)).observe(status, { attributes: true, attributeFilter: ["data-saving"] });
      document.querySelector("[aria-label^='Roller one mark down']").click();
    JS
    expect(page).to have_css("[data-adjuster=roller] output", text: "C")
    expect(page).to have_css("[data-saving=kept]")
    expect(loft.fittings.find(draft[:id])[:marks]["roller"]).to eq("C")
    expect(page.evaluate_script("window.said")).to eq(%w[saving kept])
  end

  it "does not bring back after a reload what was undone before it was handed over" do
    open_bench
    page.execute_script("document.querySelector(\"[aria-label^='Roller one mark down']\").click()")
    page.execute_script(
      "[...document.querySelectorAll('button')].find((button) => button.innerText === 'Undo').click()"
    )
    expect(mark("roller")).to eq("D")
    kept
    visit current_path
    expect(page).to have_css("[data-figure=side]")
    expect(mark("roller")).to eq("D")
    expect(
      page.evaluate_script("Object.keys(localStorage).filter((name) => name.startsWith('verglas.unsaved')).length")
    ).to eq(0)
  end

  it "lets a fitting that was opened by mistake go, after asking, and opens it again" do
    open_bench
    find("[aria-label^='Roller one mark up']").click
    kept
    click_button "Discard"
    within("[role=dialog]") { click_button "Keep it open" }
    expect(db[:fittings].get(:state)).to eq("draft")
    click_button "Discard"
    expect_accessible("the question before discarding")
    within("[role=dialog]") { click_button "Discard it" }
    expect(page).to have_css("h1", text: "Matteus Orr")
    expect(page).to have_text("The fitting is discarded.")
    expect(db[:fittings].get(:state)).to eq("discarded")
    click_button "Open it again"
    expect(mark("roller")).to eq("E")
    page.go_back
    expect(page).to have_current_path("/fittings/#{draft[:id]}")
    visit "/clients/#{draft[:client_id]}"
    expect(page).to have_no_text("The fitting is discarded.")
  end

  it "goes on with what stands here when a colleague discarded the fitting meanwhile" do
    colleague = staff(loft, email: "tobias@netloft.example", name: "Tobias Wick")
    open_bench
    loft.fittings.discard(draft[:id], version: 1, by: colleague)
    find("[aria-label^='Roller one mark up']").click
    expect(page).to have_css("[role=dialog]", text: "Tobias Wick discarded this fitting")
    expect_accessible("a fitting discarded meanwhile")
    click_button "Open it again with yours"
    kept
    row = loft.fittings.find(draft[:id])
    expect([row[:state], row[:marks]["roller"]]).to eq(%w[draft E])
    loft.fittings.discard(row[:id], version: row[:version], by: colleague)
    visit "/fittings/#{draft[:id]}"
    expect(page).to have_text("Tobias Wick discarded this fitting")
  end

  it "says so when the server can never keep what stands here, and goes on with the marks that are there now" do
    open_bench
    renamed =
      Worked::MACHINES.fetch("slide_back")["adjusters"].map do |one|
        one["label"] == "roller" ? one.merge("marks" => one["marks"].map { |mark| "#{mark}2" }) : one
      end
    loft.machines.update(
      here[:id],
      version: 1,
      by: account,
      description: {
        constants: here[:constants].to_h,
        adjusters: renamed,
        exercises: {
        }
      }
    )
    find("[aria-label^='Start one mark up']").click
    expect(page).to have_css("[data-saving=refused]", text: "not kept: roller has no mark D. Load the page again.")
    visit page.current_path
    expect(mark("start")).to eq("4")
    expect(mark("roller")).to end_with("2")
    kept
  end

  it "shows both versions when a colleague changed the same fitting, and overwrites nothing unasked" do
    colleague = staff(loft, email: "tobias@netloft.example", name: "Tobias Wick")
    open_bench
    loft.fittings.save(draft[:id], version: 1, marks: advised.merge("roller" => "B"), by: colleague)
    find("[aria-label^='Start one mark up']").click
    within("[role=dialog]") do
      expect(page).to have_text("Tobias Wick changed this fitting")
      expect(page).to have_text("B")
    end
    expect(loft.fittings.find(draft[:id])[:marks]["start"]).to eq("3")
    click_button "Keep mine"
    kept
    expect(loft.fittings.find(draft[:id])[:marks].to_h).to eq(advised.merge("start" => "4"))
  end

  it "takes the colleague's version when asked" do
    colleague = staff(loft, email: "tobias@netloft.example", name: "Tobias Wick")
    open_bench
    loft.fittings.save(draft[:id], version: 1, marks: advised.merge("roller" => "B"), by: colleague)
    find("[aria-label^='Start one mark up']").click
    click_button "Take theirs"
    expect(mark("roller")).to eq("B")
    expect(mark("start")).to eq("3")
  end

  it "records once when accept is pressed again and again, and shows the record" do
    open_bench
    click_button "Write down"
    3.times do
      page.execute_script(
        "[...document.querySelectorAll('button')].find((button) => button.innerText === 'Accept and write " \
          "down')?.click()"
      )
    end
    expect(page).to have_text("Accepted fittings")
    expect(db[:fittings].where(state: "accepted").count).to eq(1)
    click_link(text: /Leg extension 1, /)
    expect(page).to have_text("Computed from")
    expect(page).to have_text("Seat to kneecap 64.1 cm")
  end

  it "says why a machine does not fit and what would mend it" do
    tiny = client(loft, account, name: "Ósk Brannagh", sex: "woman", stature: 1420)
    visit "/clients/#{tiny[:id]}"
    click_button(text: /\AFit/)
    expect(page).to have_text("A compromise")
    expect(page).to have_text(/mm short: a firm cushion/)
  end
end
