# frozen_string_literal: true

require "system_helper"

RSpec.describe "Machines in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }

  before { sign_in }

  def choose_from(label, option)
    all("button", text: /#{Regexp.escape(label)}/, minimum: 1)
    find("label,span", text: /\A#{Regexp.escape(label)}\z/, match: :first).find(:xpath, "..").find("button").click
    find("[role=option]", text: option).click
  end

  def adjuster(number, kind, marks)
    click_button(number.zero? ? "Add the first adjuster" : "Add the next adjuster")
    within(all("fieldset")[number]) { find("button[aria-haspopup=listbox]", match: :first).click }
    find("[role=option]", text: kind).click
    within(all("fieldset")[number]) { fill_in "Marks as printed", with: marks }
  end

  # What the kind of machine may have besides, and this one has not.
  def nothing_else
    first("[data-asked]").click_button("Not on it") while has_css?("[data-asked]", wait: 0.5)
  end

  # What the form asks at each step, answered as it comes: titles to numbers in cm or degrees.
  def tape(answers)
    answers.size.times do
      title = find("form h2").text
      within("form") do
        field = first("input[inputmode=decimal]")
        field.fill_in(with: answers.fetch(title))
        click_button "Keep it"
      end
      expect(page).to have_no_css("form h2", text: title, exact_text: true) unless title == answers.keys.last
    end
  end

  lengths = {
    "Pivot over the seat" => "6.6",
    "Back pad to pivot" => "60.2",
    "Seat's front edge to pivot" => "16.5",
    "Seat: from mark to mark" => "12",
    "Pivot to roller" => "31.8",
    "Roller: from mark to mark" => "10",
    "Half the roller's thickness" => "5",
    "Arm at the start" => "26",
    "Arm at the end" => "118",
    "Thigh pad's edge to pivot" => "6.2",
    "Seat to thigh pad" => "8.4",
    "Thigh pad: from mark to mark" => "9"
  }

  it "enters and tapes a curl of one's own from nothing, fits three clients to it, changes a length and sees whose " \
       "advice changes" do
    people =
      { "Ada Berrow" => 1580, "Bo Castell" => 1700, "Cy Dunmore" => 1830 }.map do |name, stature|
        client(loft, account, name: name, stature: stature, seat_to_kneecap: (stature * 0.353).round)
      end
    visit "/"
    click_link "Machines"
    click_link "Enter a machine"
    find("label", text: "Seated leg curl", exact_text: true).click
    fill_in "Name", with: "Cliff curl"
    fill_in "Where it stands", with: "by the stairs"
    adjuster(0, "Whole seat, fore and aft", "A-F")
    expect(all("[aria-label='Marks of seat'] span").map(&:text)).to eq(%w[A B C D E F])
    adjuster(1, "Roller along the leg", "1-5")
    adjuster(2, "Thigh pad, up and down", "dot, 1-9")
    visit current_path # what was typed is still there
    expect(all("fieldset").size).to eq(3)
    click_button "Keep, then tape it"
    expect(page).to have_text("enter its marks, or say that it is not on this machine")
    nothing_else
    click_button "Keep, then tape it"
    expect(page).to have_css("h1", text: "Tape Cliff curl")

    expect(page).to have_text("Nothing can be told yet")
    tape(lengths)
    expect(page).to have_link("All taped: to the machine")
    expect(page).to have_css("[data-person=middle]", text: "in line")
    click_link "All taped: to the machine"
    expect(page).to have_text("3 in line")

    people.each do |person|
      visit "/clients/#{person[:id]}"
      within("[data-machine='Cliff curl']") { click_button(text: /Fit/) }
      expect(page).to have_css("[data-part='thigh_pad']", visible: :all)
      click_button "Watch"
      click_button "On the dot"
      click_button "Next: Working load"
      click_button "Next: write down"
      click_button "Accept and write down"
      expect(page).to have_text("Accepted fittings")
    end
    expect(db[:fittings].where(state: "accepted", knee_off_mm: 0).count).to eq(3)

    visit "/machines"
    click_link(text: /Cliff curl/)
    click_link "Tape again"
    click_button "Back pad to pivot"
    fill_in "Length in cm", with: "57.4"
    click_button "Replace it"
    click_button "Read twice: keep it" if page.has_button?("Read twice: keep it", wait: 2)
    expect(page).to have_css("[role=status]", text: "Kept.")
    click_link(text: /to the machine/i)
    within("section", text: "Whose advice the last change") do
      expect(page).to have_text("Bo Castell")
      expect(page).to have_text("was")
    end
    expect_accessible("a machine whose length changed")
  end

  it "shows at once, while a length is typed, how three people would sit and what is odd, and keeps nothing unasked" do
    row = machine(loft, "curl_plain", name: "Leg curl 1")
    visit "/machines/#{row[:id]}/tape"
    click_button "Back pad to pivot"
    fill_in "Length in cm", with: "66.6"
    expect(page).to have_css("[data-person=middle]", text: "wrong")
    click_button "Replace it"
    expect(page).to have_css("[role=alert]", text: /would be off for 10 of 10 people/)
    expect(loft.machines.find(row[:id])[:constants]["back_face"]).to eq(-466)
    expect(page).to have_field("Length in cm", with: "66.6")
    expect_accessible("an odd length")
    click_button "Read twice: keep it"
    expect(page).to have_css("[role=status]", text: "Kept.")
    expect(loft.machines.find(row[:id])[:constants]["back_face"]).to eq(-666)
  end

  it "keeps what was typed when a machine is refused, and says what is wrong" do
    machine(loft, "curl_plain", name: "Leg curl 1")
    visit "/machines/new"
    click_button "Keep, then tape it"
    expect(page).to have_text("Choose what kind of machine it is.")
    find("label", text: "Leg extension", exact_text: true).click
    fill_in "Name", with: "Leg curl 1"
    adjuster(0, "Back pad, fore and aft", "1, 2, 2")
    click_button "Keep, then tape it"
    expect(page).to have_text("2 stands twice.")
    within("fieldset") { fill_in "Marks as printed", with: "1-4" }
    nothing_else
    click_button "Keep, then tape it"
    expect(page).to have_text("Another machine of this gym has this name.")
    expect(page).to have_field("Marks as printed", with: "1-4")
    expect_accessible("a refused machine")
    fill_in "Name", with: "Leg curl 2" # the refusal goes with its cause
    expect(page).to have_no_text("Another machine of this gym has this name.")
  end

  it "takes a photograph, scaled down, and shows it on the page" do
    row = machine(loft, "curl_plain", name: "Leg curl 1")
    visit "/machines/#{row[:id]}"
    expect(page).to have_text("Walk-round")
    picture = File.join(Verglas::ROOT, "docs", "screenshots", "bench.png")
    attach_file("Photograph of Leg curl 1", picture, visible: :all)
    expect(page).to have_css("img[alt='Photograph: Leg curl 1']")
    expect(db[:machine_photographs].get(%i[width_px height_px])).to eq([1280, 800])
    # Once it has come: until then a picture is nothing wide.
    wide =
      page.evaluate_async_script(
        "const picture = document.querySelector('img'); picture.decode().then(() => " \
          "arguments[0](picture.naturalWidth), () => arguments[0](null));"
      )
    expect(wide).to eq(1280)
    click_button "Remove"
    expect(page).to have_no_css("img[alt='Photograph: Leg curl 1']")
    expect(db[:machine_photographs].count).to eq(0)
    click_button "Put it back"
    expect(page).to have_css("img[alt='Photograph: Leg curl 1']")
    expect(page).to have_no_button("Put it back")
    expect(db[:machine_photographs].get(%i[width_px height_px])).to eq([1280, 800])
  end

  it "sorts and filters the list, and keeps that in the address" do
    machine(loft, "curl_plain", name: "Zed curl")
    row = machine(loft, "slide_back", name: "Able extension")
    loft.machines.update(row[:id], version: 1, by: account, state: "out_of_order", state_note: "cable")
    visit "/machines"
    find("label", text: "By name").click
    expect(all("ul a").filter_map { |link| link.text[/Able|Zed/] }).to eq(%w[Able Zed])
    find("label", text: "Needing something").click
    expect(page).to have_no_text("Zed curl")
    visit page.current_url
    expect(page).to have_text("out of order")
    expect(page).to have_no_text("Zed curl")
  end
end
