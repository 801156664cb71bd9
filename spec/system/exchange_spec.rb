# frozen_string_literal: true

require "system_helper"
require "tempfile"

RSpec.describe "Data out and in, in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let(:people) do
    "Full name;Height (in);Born;Shoe size\nAda Löwe;64,9;31.5.1990;41\nBo Tarn;;31.2.1990;\nIngrid Vass;66,9;;\n"
  end
  let(:table) { Tempfile.new(%w[people .csv]).tap { |file| File.write(file.path, people) } }

  before { client(loft, account, name: "Ingrid Vass", stature: 1700) }

  it "looks a file through row by row before anything is changed, and takes it in without what is refused" do
    sign_in at: "/gym"
    click_link "Data out and in"
    expect(page).to have_link("Clients", href: "/api/export/clients.csv")
    page.find("input[type=file]", visible: :all).attach_file(table.path)
    click_button "Look through it"
    expect(page).to have_text("not known and left aside: Shoe size")
    expect(page.all("dl dd").map(&:text)).to eq(%w[1 1 0 1])
    expect(page).to have_text("This is not a date")
    expect(page).to have_button("Take it in (2)", disabled: true)
    expect_accessible("a file that was looked through")
    expect(db[:clients].count).to eq(1)
    find("label", text: "Leave what is refused aside").click
    click_button "Take it in (2)"
    expect(page).to have_text("Taken in: 1 added, 1 changed.")
    ada = db[:clients].first(name: "Ada Löwe")
    expect(loft.cautions.of(ada[:id]).map { |caution| caution[:caution] }).to eq(["not_asked"])
    visit "/clients/#{ada[:id]}"
    expect(page).to have_text("Not asked yet")
  end

  it "says why a file is none, and lets go of it" do
    File.write(table.path, "Born;Height\n31.5.1990;64,9\n")
    sign_in at: "/gym/exchange"
    page.find("input[type=file]", visible: :all).attach_file(table.path)
    click_button "Look through it"
    expect(page).to have_text("There is no column name")
    click_button "With health notes"
    expect(page).to have_text("readable by whoever opens it")
    expect_accessible("health notes in clear")
  end
end
