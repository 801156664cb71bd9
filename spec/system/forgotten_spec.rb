# frozen_string_literal: true

require "system_helper"
require_relative "../support/posted"

RSpec.describe "A forgotten password, in the browser" do
  include Posted

  let!(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }

  around do |example|
    posting("PUBLIC_URL" => "http://127.0.0.1") { example.run }
  ensure
    forget_posted
  end

  it "is asked for by e-mail, and chosen anew by the link in it" do
    visit "/sign-in"
    click_link "Forgotten your password?"
    expect_accessible("asking for a new password")
    fill_in "Email", with: "maren@netloft.example"
    click_button "Send me a link"
    expect(page).to have_text("If somebody works here under maren@netloft.example")
    until_posted
    secret = letters.first.decoded[/#(\S+)/, 1]
    visit "/welcome##{secret}"
    fill_in "Password of your own", with: "heron on the slipway"
    click_button "Keep the new password"
    expect(page).to have_link("Clients")
  end
end
