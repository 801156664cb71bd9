# frozen_string_literal: true

require "system_helper"

# A gym of one's own from the first page, and what each role is offered.
RSpec.describe "Staff in the browser" do
  let(:password) { "a quay of salt stone" }

  describe "on an empty server" do
    it "whoever has the code names the gym, is told what comes next, and asks somebody in who comes by the link" do
      code = Verglas::Store::StaffLinks.new(db).make_first
      visit "/"
      expect(page).to have_css("h1", text: "Begin with your gym")
      expect_accessible("the first page of an empty server")
      fill_in "Code from the console", with: "AAAA-AAAA-AAAA-AAAA"
      fill_in "Name of the gym", with: "The Rope Walk"
      fill_in "Your name, who leads the gym", with: "Ingrid Tarn"
      fill_in "Email", with: "ingrid@ropewalk.example"
      fill_in "Password of your own", with: password
      click_button "Begin"
      expect(page).to have_text("This is not the code that the server printed")
      expect(page).to have_field("Name of the gym", with: "The Rope Walk")
      fill_in "Code from the console", with: code
      click_button "Begin"
      expect(page).to have_css("[data-step]:not([data-done])", count: 4)
      expect_accessible("the floor of a gym that has just begun")
      click_link "Have the caution table reviewed"
      fill_in "Reviewed today by", with: "Dr Solveig Marsh"
      click_button "Write it down"
      expect(page).to have_text("Reviewed by Dr Solveig Marsh on")
      click_link "Staff"
      invite("Ada Quill", "ada@ropewalk.example")
      expect_accessible("the staff")
      link = find("code").text
      go "/"
      expect(page).to have_css("[data-step=cautions][data-done]")
      at_another_tablet { come_by(link) }
      go "/gym/staff"
      expect(page).to have_css("[data-colleague='Ada Quill']", text: "Signed in on one device")
    end

    def invite(name, email)
      fill_in "Name", with: name
      fill_in "Email", with: email
      click_button "Make the link"
      expect(page).to have_text("For #{name}")
    end

    def come_by(link)
      visit link[%r{/welcome#.*}]
      expect(page).to have_css("h1", text: "Welcome to The Rope Walk")
      expect(page).to have_field("Your name", with: "Ada Quill")
      expect_accessible("an invitation")
      fill_in "Password of your own", with: "short"
      click_button "Begin"
      expect(page).to have_text("at least 12 characters")
      fill_in "Password of your own", with: password
      click_button "Begin"
      expect(page).to have_css("nav", text: "Ada Quill")
      expect(page).to have_no_link("Staff")
      visit "/robots.txt"
      visit link[%r{/welcome#.*}]
      expect(page).to have_text("This link opens nothing any more")
    end
  end

  describe "in a gym" do
    let!(:loft) { gym }
    let!(:maren) { staff(loft, role: "lead") }
    let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
    let!(:person) { matteus(loft, maren) }

    def caution(name) = loft.cautions.put(person[:id], name, version: nil, by: maren, note: "since the spring")

    it "a helper prepares a fitting, and an instructor takes the tablet over and accepts it" do
      helper = staff(loft, email: "pim@netloft.example", name: "Pim Sorrel", role: "helper")
      caution("ankle")
      { maren => "2468", helper => "1357" }.each do |id, pin|
        Verglas::Store::Tablets.new(db).put_pin(id, Verglas::Web::SignIn.password_hash(pin))
      end
      sign_in
      asked "/auth/logout"
      sign_in(email: "pim@netloft.example", at: "/clients/#{person[:id]}")
      expect(page).to have_text("A caution").and(have_no_text("Ankle, Achilles or calf"))
      expect(page).to have_no_link("Correct").and(have_no_link("Add a client"))
      expect_accessible("a client as a helper sees them")
      bench_of(person, "Leg extension 1")
      find("[data-step='@write'] button, button[data-step='@write']", match: :first).click
      expect(page).to have_no_button("Accept and write down")
      click_button "Ready: hand it to an instructor"
      find("label", text: "Maren Oldcastle").click
      fill_in "PIN", with: "2468"
      click_button "Open"
      expect(page).to have_text("Matteus Orr").and(have_text("Ankle"))
      find("[data-step='@write'] button, button[data-step='@write']", match: :first).click
      expect(page).to have_button("Accept and write down")
    end

    it "a clinician sees whom they were shown, and says what is allowed under their own name" do
      staff(loft, email: "dr@netloft.example", name: "Dr Solveig Marsh", role: "clinician")
      caution("knee")
      sign_in(at: "/clients/#{person[:id]}/cautions")
      find("label", text: "Dr Solveig Marsh").click
      expect(page).to have_css("label[data-selected]", text: "Dr Solveig Marsh")
      asked "/auth/logout"
      sign_in(email: "dr@netloft.example", at: "/")
      click_link(text: /Matteus Orr/)
      expect(page).to have_css("h1", text: "Matteus Orr")
      expect(page).to have_no_link("Machines").and(have_no_link("House rules"))
      expect_accessible("a client as a clinician sees them")
      click_link "Cautions"
      click_button "Correct"
      expect(page).to have_field("Cleared by", with: "Dr Solveig Marsh", readonly: true)
      expect(page).to have_no_field("Note").and(have_no_button("Written by mistake"))
      expect_accessible("a caution as a clinician writes it")
    end

    it "a client opens their own card on a phone, reads it without a network, and no more once it is taken back" do
      bench = Verglas::Application::Meeting.new(loft, client: person, machine_row: here)
      draft, =
        loft.fittings.open(
          client_id: person[:id],
          machine_id: here[:id],
          description_number: 1,
          marks: bench.advice.marks,
          by: maren
        )
      meeting = Verglas::Application::Meeting.of(loft, draft[:id])
      loft.fittings.accept(
        draft[:id],
        version: 1,
        by: maren,
        **Verglas::Application::Record.of(meeting, bench.advice.marks, {})
      )
      sign_in(at: "/gym")
      find("label", text: "Clients may be given a link").click
      click_button "Keep"
      expect(page).to have_text("Kept.")
      visit "/clients/#{person[:id]}"
      click_button "Make a link for their phone"
      link = find("code").text
      expect_accessible("a link to a client's own card")
      expect(page).to have_text("Not opened yet.")
      at_another_tablet { read_on_a_phone(link) }
    end

    # A file is kept last.
    def kept_offline?
      page.evaluate_async_script(<<~JS)
        caches.open("own-card").then((kept) => kept.match("/mine")).then((found) => arguments[0](Boolean(found)))
      JS
    end

    def read_on_a_phone(link)
      resize(390, 844)
      visit link[%r{/mine#.*}]
      expect(page).to have_css("h1", text: "Matteus, your card")
      expect(page).to have_css("h2", text: "Leg extension 1")
      expect_accessible("a client's own card")
      expect_nothing_cut("a client's own card")
      30.times { kept_offline? ? break : sleep(0.1) }
      offline do
        page.refresh
        expect(page).to have_text("this is the card as it was").and(have_css("h2", text: "Leg extension 1"))
      end
      expect(db[:client_links].get(:opened)).to be >= 1
      db[:client_links].delete
      page.refresh
      expect(page).to have_text("This link opens nothing any more").and(have_no_css("h2"))
      expect(page.evaluate_script("localStorage.getItem('verglas.own-card')")).to be_nil
    end
  end
end
