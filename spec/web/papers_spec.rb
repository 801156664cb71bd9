# frozen_string_literal: true

require "web_helper"
require "vips"
require "pdf/reader"
require "tmpdir"

# What is printed, read back: pages, sizes, text, codes, true lengths.
RSpec.describe "What is printed" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let(:person) do
    client(
      loft,
      account,
      name: "Ósk Brannagh",
      detail: "mornings",
      sex: "woman",
      stature: 1700,
      seat_to_kneecap: 604,
      floor_to_knee_top: 541
    )
  end
  # No printer has a letter for the last one.
  let(:other) { client(loft, account, name: "Wendell <b>Achterberg</b> 🦀", sex: "man", stature: 1900) }

  before { sign_in }

  def fitted(who, row = here, **sheet)
    id = call(:post, "/api/fittings", { client_id: who[:id], machine_id: row[:id] })["id"]
    page = call(:get, "/api/fittings/#{id}")
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { marks: page["marks"], version: 1, reason: "As far as it goes.", **sheet }
    )
    expect(status).to eq(200)
    page["marks"]
  end

  def printed(path)
    get path
    expect([status, last_response.headers["content-type"]]).to eq([200, "application/pdf"])
    PDF::Reader.new(StringIO.new(last_response.body))
  end

  def millimetres(page) = page.attributes[:MediaBox].last(2).map { |points| (points * 25.4 / 72).round }
  def text(reader) = reader.pages.map(&:text).join("\n").squeeze(" ")

  # What a camera reads of each page.
  def codes
    Dir.mktmpdir do |folder|
      file = File.join(folder, "sheet.pdf")
      File.binwrite(file, last_response.body)
      count = PDF::Reader.new(file).page_count
      (0...count).map do |page|
        picture = File.join(folder, "#{page}.png")
        Vips::Image.new_from_file("#{file}[dpi=300,page=#{page}]").write_to_file(picture)
        IO.popen(["zbarimg", "--quiet", "--raw", picture], err: File::NULL, &:read).strip
      end
    end
  end

  it "is an A6 card a machine, with marks, load, how and by whom, and a code that opens it where the gym has an " \
       "address" do
    marks = fitted(person, load: "20 kg", cue: "Toes up.")
    fitted(person, machine(loft, "curl_plain", name: "Leg curl 1"))
    cards = printed("/api/clients/#{person[:id]}/card.pdf")
    expect(cards.pages.map { |page| millimetres(page) }).to eq([[148, 105]] * 2)
    first = cards.pages.map(&:text).find { |page| page.include?("Leg extension 1") }
    labels = marks.keys.map { |label| label.sub(/\A./, &:upcase) }
    expect(first).to include(
      "Ósk Brannagh",
      "mornings",
      "20 kg",
      "What helped: Toes up.",
      "Maren Oldcastle",
      "Pain is a reason to stop",
      *labels
    )
    marks.each_value { |mark| expect(first).to match(/(^|\s)#{mark}(\s|$)/) }
    expect(codes).to eq(["", ""])
    call(:put, "/api/gym", { version: 1, address: "https://verglas.netloft.example", wall_names: "full" })
    printed("/api/clients/#{person[:id]}/card.pdf")
    expect(codes).to eq(["https://verglas.netloft.example/clients/#{person[:id]}"] * 2)
  end

  it "is a sheet of the floor, predicted from three readings as the bench then advises" do
    kept_off = machine(loft, "curl_plain", name: "Leg curl 1")
    advised =
      call(
        :get,
        "/api/fittings/#{call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]}"
      )[
        "advice"
      ][
        "marks"
      ]
    db[:fittings].delete
    printed = text(printed("/api/clients/#{person[:id]}/card.pdf?paper=a4"))
    expect(printed).to include("tried: Predicted from the tape.", "Leg extension 1")
    # As the text is read back, the marks stand in a line of their own.
    expect(printed).to match(/^\s*#{advised.values.map { |mark| Regexp.escape(mark) }.join("\\s+")}\s*$/)
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "heart", version: nil })
    sheet = printed("/api/clients/#{person[:id]}/card.pdf?paper=a4")
    expect(millimetres(sheet.pages.first)).to eq([210, 297])
    expect(text(sheet)).to include(kept_off[:name], "Heart condition").and(include("1 / 1"))
    expect(text(sheet)).not_to include("Never tried")
  end

  it "goes on to a second page where the floor is large, and cuts no machine in two" do
    20.times { |index| machine(loft, "slide_back", name: "Leg extension #{index + 10}") }
    sheet = printed("/api/clients/#{person[:id]}/card.pdf?paper=a4")
    expect(sheet.page_count).to be > 1
    names = sheet.pages.flat_map { |page| page.text.scan(/Leg extension \d+/) }
    expect(names.tally.values.uniq).to eq([1])
    expect(names.size).to eq(20)
  end

  it "is as it stood on a day, by what was told then, and says that it is not for today" do
    fitted(person, load: "20 kg")
    db[:fittings].update(accepted_at: Time.now - (5 * 86_400))
    days = [6, 3].map { |ago| (Date.today - ago).iso8601 }
    none, then_ = days.map { |day| text(printed("/api/clients/#{person[:id]}/card.pdf?paper=a4&day=#{day}")) }
    expect(none).not_to include("Leg extension 1")
    expect(then_).to include("Leg extension 1", "20 kg", "not for today")
    call(:get, "/api/clients/#{person[:id]}/card.pdf?day=2026-13-40")
    expect(status).to eq(422)
  end

  it "prints a name with letters that no font has, and is copied as text" do
    marks = fitted(other)
    expect(text(printed("/api/clients/#{other[:id]}/card.pdf"))).to include("Client #{other[:id][0, 4].upcase}")
    get "/api/clients/#{other[:id]}/card.txt"
    expect(last_response.headers["content-type"]).to start_with("text/plain")
    expect(last_response.body.force_encoding("UTF-8")).to include(
      "Wendell <b>Achterberg</b> 🦀",
      "Leg extension 1",
      *marks.map { |label, mark| "#{label.sub(/\A./, &:upcase)} #{mark}" }
    )
  end

  it "is a wall sheet: chosen columns, sorted by a mark in the printed order, names as the gym wants them" do
    mine = fitted(person)
    theirs = fitted(other)
    sheet = call(:get, "/api/machines/#{here[:id]}/sheet?names=initial&columns=roller,back%20pad&sort=roller")
    expect(sheet["columns"].map { |column| column["name"] }).to eq(["Back pad", "Roller"])
    roller = %w[A B C D E]
    expect(sheet["rows"].map { |row| roller.index(row["cells"].last) }).to eq(
      [mine, theirs].map { |marks| roller.index(marks["roller"]) }.sort
    )
    expect(sheet["rows"].map { |row| row["name"] }).to contain_exactly("Ósk B.", "Wendell <.")
    expect(
      call(:get, "/api/machines/#{here[:id]}/sheet?names=number")["rows"].map { |row| row["name"] }
    ).to contain_exactly(person[:id][0, 4].upcase, other[:id][0, 4].upcase)
    expect(text(printed("/api/machines/#{here[:id]}/sheet.pdf?names=full"))).to include(
      "Leg extension 1",
      "Ósk Brannagh"
    )
    expect(text(printed("/api/machines/#{here[:id]}/sheet.pdf"))).not_to include("Brannagh")
  end

  it "carries no marks of a machine from which a caution keeps the client today, on card, text or wall" do
    fitted(person, load: "20 kg")
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "heart", version: nil })
    expect(text(printed("/api/clients/#{person[:id]}/card.pdf"))).to match(/a caution keeps\s+off/)
    get "/api/clients/#{person[:id]}/card.txt"
    expect(last_response.body.force_encoding("UTF-8")).to include("Leg extension 1", "Heart condition").and(
      satisfy { |said| !said.include?("Roller") && !said.include?("20 kg") }
    )
    expect(call(:get, "/api/machines/#{here[:id]}/sheet")["rows"]).to eq([])
  end

  it "is a scale in true size: a tick a mark, as far apart as they are on the machine" do
    reader = printed("/api/machines/#{here[:id]}/scale.pdf?adjuster=roller")
    lines =
      Class
        .new do
          attr_reader :ticks

          define_method(:initialize) { @ticks = [] }
          define_method(:begin_new_subpath) { |x, y| @from = [x, y] }
          define_method(:append_line) do |x, y|
            @ticks << [@from, [x, y]] if @from && (@from[1] - y).abs < 0.001 && ((x - @from[0]) * 254 / 72).round == 90
          end
        end
        .new
    reader.pages.first.walk(lines)
    heights = lines.ticks.map { |(_, y), _| y * 25.4 / 72 }
    travel = here[:adjusters].find { |adjuster| adjuster["label"] == "roller" }["travel"]
    expect(heights.map { |height| (heights.first - height).round(2) }).to eq(travel.map { |mm| mm.to_f.round(2) })
    expect(text(reader)).to include(
      "100 mm: measure this line",
      *here[:adjusters].find { |adjuster| adjuster["label"] == "roller" }["marks"]
    )
    get "/api/machines/#{here[:id]}/scale.pdf?adjuster=start"
    expect([status, JSON.parse(last_response.body)["code"]]).to eq([422, "no_true_size"])
  end

  it "goes in strips where the adjuster is longer than a sheet, each from where the last one ended" do
    scale =
      Verglas::Formats::Paper::Scale.new(
        machine: "Leg press 1",
        label: "Seat",
        marks: (0..60).map { |index| [index.to_s, index * 10.0] }
      )
    expect(scale.strips.first.first).to eq(0)
    expect(scale.strips.last.last).to eq(600)
    scale.strips.each_cons(2) { |one, next_one| expect(one.last).to eq(next_one.first) }
    expect(PDF::Reader.new(StringIO.new(scale.render)).page_count).to eq(1)
  end

  it "is set by whoever leads the gym alone, over nobody else's setting, and seen by nobody of another gym" do
    fitted(person)
    expect(call(:put, "/api/gym", { version: 1, address: "javascript:alert(1)", wall_names: "full" })["path"]).to eq(
      "/address"
    )
    call(:put, "/api/gym", { version: 1, address: "http://10.0.0.7:4600", wall_names: "number" })
    expect([call(:put, "/api/gym", { version: 1, address: "", wall_names: "full" })["code"], status]).to eq(
      ["stale", 409]
    )
    db[:accounts].where(id: account).update(role: "instructor")
    expect(call(:put, "/api/gym", { version: 2, address: "", wall_names: "full" })).to include("code" => "lead_only")
    expect(status).to eq(403)
    expect(call(:get, "/api/gym")["address"]).to eq("http://10.0.0.7:4600")
    theirs = gym("Elsewhere")
    staff(theirs, email: "spy@elsewhere.example")
    call(:post, "/auth/logout", {})
    sign_in(email: "spy@elsewhere.example")
    [
      "/api/clients/#{person[:id]}/card.pdf",
      "/api/clients/#{person[:id]}/card.txt",
      "/api/machines/#{here[:id]}/sheet.pdf",
      "/api/machines/#{here[:id]}/scale.pdf?adjuster=roller"
    ].each do |path|
      get path
      expect(status).to eq(404)
    end
  end
end
