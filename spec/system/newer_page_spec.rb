# frozen_string_literal: true

require "system_helper"

RSpec.describe "A page of an older version" do
  let!(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }

  # As if the server had been given a newer one since this page was fetched.
  def grow_old
    page.execute_script(<<~JS)
      document.querySelector('script[type="module"]').setAttribute("src", "/assets/index-before.js");
      window.old = true;
    JS
  end

  it "fetches itself anew when the next place is opened, and once" do
    sign_in at: "/"
    expect(page).to have_link("Clients")
    grow_old
    click_link "Clients"
    Timeout.timeout(10) { sleep(0.05) until page.evaluate_script("window.old").nil? }
    expect(page).to have_css("h1", text: "Clients")
    page.execute_script("window.stayed = true")
    click_link "Machines"
    expect(page).to have_css("h1", text: "Machines")
    expect(page.evaluate_script("window.stayed")).to be(true)
  end

  it "is told which one the server has by what is asked of it, not by its pages" do
    sign_in at: "/"
    header = page.evaluate_async_script("fetch('/api/me').then((a) => arguments[0](a.headers.get('x-verglas-page')))")
    expect(header).to match(%r{\A/assets/index-.+\.js\z})
  end
end
