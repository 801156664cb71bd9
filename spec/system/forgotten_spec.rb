# frozen_string_literal: true

require "system_helper"
require "mail"
require "tmpdir"

RSpec.describe "A forgotten password, in the browser" do
  let!(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let(:folder) { Dir.mktmpdir }

  around do |example|
    before = %w[MAIL_FOLDER MAIL_FROM PUBLIC_URL].to_h { |name| [name, ENV.fetch(name, nil)] }
    ENV.update("MAIL_FOLDER" => folder, "MAIL_FROM" => "loft@netloft.example", "PUBLIC_URL" => "http://127.0.0.1")
    example.run
  ensure
    ENV.update(before)
    FileUtils.remove_entry(folder)
  end

  it "is asked for by e-mail, and chosen anew by the link in it" do
    visit "/sign-in"
    click_link "Forgotten your password?"
    expect_accessible("asking for a new password")
    fill_in "Email", with: "maren@netloft.example"
    click_button "Send me a link"
    expect(page).to have_text("If somebody works here under maren@netloft.example")
    Timeout.timeout(5) { sleep(0.05) while Dir[File.join(folder, "*.eml")].empty? }
    secret = Mail.read(Dir[File.join(folder, "*.eml")].first).decoded[/#(\S+)/, 1]
    visit "/welcome##{secret}"
    fill_in "Password of your own", with: "heron on the slipway"
    click_button "Keep the new password"
    expect(page).to have_link("Clients")
  end
end
