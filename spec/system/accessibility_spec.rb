# frozen_string_literal: true

require "system_helper"

# Each screen at each size: nothing for the axe engine to find, nothing cut.
RSpec.describe "Every screen" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:there) { machine(loft, "slide_seat", name: "Leg extension 2") }
  let!(:person) do
    client(
      loft,
      account,
      name: "Imre Talbot-Vane",
      detail: "rows on Tuesdays",
      sex: "man",
      stature: 1700,
      seat_to_kneecap: 604
    )
  end
  let(:draft) { opened(here) }
  let(:accepted) do
    row = opened(there)
    bench = Verglas::Application::Meeting.of(loft, row[:id])
    loft.fittings.accept(
      row[:id],
      version: 1,
      marks: row[:marks].to_h,
      **Verglas::Application::Record.of(bench, row[:marks].to_h, {}),
      by: account
    )
  end

  def opened(machine, exercise = "")
    bench = Verglas::Application::Meeting.new(loft, client: person, machine_row: machine, exercise: exercise)
    loft
      .fittings
      .open(
        client_id: person[:id],
        machine_id: machine[:id],
        exercise: exercise,
        description_number: 1,
        marks: bench.advice.marks,
        by: account
      )
      .first
  end

  def on(fixture, name, exercise = "") = opened(machine(loft, fixture, name: name), exercise)[:id]

  # 200 % zoom of 1280 x 800 is a window of half that. Each screen is opened at the first size of its kind, where the
  # engine looks at it, and then turned or made smaller in place, as on a tablet.
  {
    "wide" => {
      "1280 x 800" => [1280, 800],
      "1024 x 768" => [1024, 768]
    },
    "narrow" => {
      "a phone upright" => [390, 844],
      "200 % zoom" => [640, 400]
    }
  }.each do |kind, sizes|
    it "is accessible and whole where it is #{kind}" do
      resize(*sizes.values.first)
      visit "/sign-in"
      expect(page).to have_button("Sign in")
      look "sign-in", sizes
      sign_in
      screens = {
        "/" => "Left open",
        "/clients" => "Imre Talbot-Vane",
        "/clients/new" => "What tells them apart",
        "/clients/#{person[:id]}" => "Card",
        "/clients/#{person[:id]}/details" => "Correct Imre",
        "/clients/#{person[:id]}/tape" => "Expected",
        "/fittings/#{draft[:id]}" => "Knee to pivot",
        "/fittings/#{accepted[:id]}" => "Computed from",
        "/machines" => "Leg extension 1",
        "/machines/new" => "What kind of machine",
        "/machines/#{here[:id]}" => "height, cm",
        "/machines/who-fits" => "Whom none of them fits",
        "/machines/#{here[:id]}/correct" => "Marks as printed",
        "/machines/#{here[:id]}/tape" => "Small, 152 cm",
        "/fittings/#{on("curl_plain", "Leg curl")}" => "Kneecap",
        "/fittings/#{on("lie_flat", "Lying curl")}" => "Kneecap past",
        "/fittings/#{on("shared_seat", "Station", "curl")}" => "Extension",
        "/fittings/#{on("pad_and_angle", "Hip bench")}" => "Hip above the pad",
        "/fittings/#{on("incline_sled", "Leg press")}" => "At the latch",
        "/fittings/#{on("round_pad", "Glute-ham bench")}" => "Knee on the pad",
        "/fittings/#{on("chain_on_lever", "Belt squat")}" => "Room with thighs level",
        "/fittings/#{on("arms_turned_in", "Hip adduction")}" => "Hip to pivot",
        "/sessions" => "Plan a session for",
        "/sessions/groups/new" => "Who goes along",
        "/sessions/programmes/new" => "Add an exercise",
        "/clients/#{person[:id]}/session" => "Beside the line",
        "/rules" => "First thing set",
        "/clients/#{person[:id]}/cautions" => "No caution is known",
        "/clients/#{person[:id]}/rules" => "As the gym has it",
        "/clients/#{person[:id]}/limits" => "never pushed",
        "/you" => "Keep the PIN",
        "/fittings/#{accepted[:id]}/set-up" => "It stands so",
        "/fittings/#{accepted[:id]}/progress" => "Nothing lifted yet",
        "/machines/#{there[:id]}/replace" => "In its place",
        "/machines/#{there[:id]}/sheet" => "First name and initial",
        "/gym" => "Names on a wall",
        "/refits" => "Nothing is due",
        "/board?weeks=52" => "With gaps",
        "/gym/audit" => "Only the lead",
        "/clients/#{person[:id]}/history/#{there[:id]}" => "To the card",
        "/gym/exchange" => "Whoever leads the gym takes data out and in",
        "/machines/#{there[:id]}/queue" => "Who comes next",
        "/nowhere" => "nothing at this address"
      }
      screens.each do |path, text|
        go path
        expect(page).to have_text(text)
        look path, sizes
      end
    end

    it "is accessible and whole at every step of the bench where it is #{kind}" do
      loft.machines.update(
        here[:id],
        version: 1,
        by: account,
        belt: true,
        one_leg: true,
        loading: {
          kind: "stack",
          unit: "kg",
          masses: [5, 10, 20],
          addons: [2.5]
        }
      )
      resize(*sizes.values.first)
      sign_in
      visit "/fittings/#{draft[:id]}"
      {
        "@again" => "Nothing moved",
        "@secure" => "Belt is on",
        "@light" => "Pace a set",
        "@working" => "Last repetition",
        "@watch" => "Where is it felt?",
        "@write" => "Note"
      }.each do |step, text|
        find("[data-step='#{step}'] button", match: :first).click
        expect(page).to have_text(text)
        all("summary", wait: 0).each(&:click)
        look step, sizes
      end
      find("[data-step='@light'] button", match: :first).click
      click_button "Pace a set"
      expect(page).to have_css("[data-pacer]")
      look "a set being paced", sizes
    end
  end

  def look(what, sizes)
    expect_accessible(what)
    sizes.to_a.reverse_each do |name, size|
      resize(*size)
      settled
      expect_nothing_cut("#{what} at #{name}")
    end
  end

  # Two frames later: laid out anew, and whatever watches its size has drawn again.
  def settled = page.evaluate_async_script("requestAnimationFrame(() => requestAnimationFrame(() => arguments[0]()))")

  it "is accessible with a dialogue open, a bad fit, and a refused reading" do
    sign_in at: "/"
    expect(page).to have_text("Left open")
    keys :escape
    page.execute_script("document.activeElement.blur()")
    keys "?"
    expect(page).to have_css("[role=dialog]", text: "Keys")
    expect_accessible("the list of keys")
    visit "/fittings/#{draft[:id]}"
    2.times { find("[aria-label^='Back pad one mark down']").click }
    expect(page).to have_css("[data-finding=offset]", text: "off")
    expect_accessible("a bad fit")
    visit "/clients/#{person[:id]}/tape"
    click_button "Floor to top of knee"
    fill_in "Reading in cm", with: "70"
    click_button "Keep the reading"
    expect(page).to have_css("[role=alert]")
    expect_accessible("a slip")
  end

  it "gives fingers enough to touch: every button 44 px, the adjusters' steps 56" do
    sign_in
    visit "/fittings/#{draft[:id]}"
    expect(page).to have_css("[data-figure=side]")
    small =
      page.evaluate_script(
        "[...document.querySelectorAll('main button')].filter((button) => button.getBoundingClientRect().height < " \
          "43.5).map((button) => button.innerText)"
      )
    expect(small).to be_empty
    heights =
      page.evaluate_script(
        "[...document.querySelectorAll('[aria-label*=\"one mark\"]')].map((button) => " \
          "button.getBoundingClientRect().height)"
      )
    expect(heights).to all(be >= 55.5)
  end
end
