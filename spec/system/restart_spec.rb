# frozen_string_literal: true

require "system_helper"
require "puma"
require "puma/server"

# A real server stopped and started under an open bench.
RSpec.describe "A restart of the server" do
  let!(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:person) { client(loft, account, name: "Matteus Orr", sex: "man", stature: 1822) }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let(:marks) { { "back pad" => "4", "roller" => "D", "start" => "3" } }
  let(:draft) do
    loft
      .fittings
      .open(client_id: person[:id], machine_id: here[:id], description_number: 1, marks: marks, by: account)
      .first
  end

  def serve(port)
    server =
      Puma::Server.new(
        Verglas::Web::Stack.build(db, limits: false),
        nil,
        { min_threads: 0, max_threads: 4, log_writer: Puma::LogWriter.null }
      )
    server.add_tcp_listener("127.0.0.1", port)
    server.run
    server
  end

  it "loses nothing: the draft goes on, the session holds" do
    port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
    server = serve(port)
    visit "http://127.0.0.1:#{port}/sign-in"
    fill_in "Email", with: "maren@netloft.example"
    fill_in "Password", with: Given::PASSWORD
    click_button "Sign in"
    expect(page).to have_text("Find a client")
    visit "http://127.0.0.1:#{port}/fittings/#{draft[:id]}"
    expect(page).to have_css("[data-figure=side]")
    server.stop(true)
    find("[aria-label^='Roller one mark down']").click
    expect(page).to have_css("[data-saving=waiting]")
    server = serve(port)
    expect(page).to have_css("[data-saving=kept]")
    visit "http://127.0.0.1:#{port}/fittings/#{draft[:id]}"
    expect(page).to have_css("[data-adjuster=roller] output", text: "C")
    expect(loft.fittings.find(draft[:id])[:marks]["roller"]).to eq("C")
  ensure
    server&.stop(true)
  end
end
