# frozen_string_literal: true

require "web_helper"
require "socket"
require_relative "../support/posted"

RSpec.describe "Letters by e-mail" do
  include Posted

  let!(:loft) { gym }
  let!(:maren) { staff(loft, role: "lead") }

  after { forget_posted }

  def invite
    call(:post, "/api/staff/invitations", { name: "Ada Quill", email: "ada@netloft.example", role: "helper" })
  end

  def forgotten(email) = call(:post, "/auth/forgotten", { email: email })

  # A server that speaks as much of SMTP as is needed: yields its port, answers what it was sent.
  def mail_server(refusing: false)
    server = TCPServer.new("127.0.0.1", 0)
    told = []
    thread =
      Thread.new do
        client = server.accept
        client.puts("220 ready")
        while (line = client.gets)
          told << line
          client.puts(answer(line, client, told, refusing))
          break if line.start_with?("QUIT")
        end
      end
    yield server.addr[1]
    thread.join(5)
    told.join
  ensure
    server.close
  end

  def answer(line, client, told, refusing)
    case line
    when /\AEHLO/
      "250 here"
    when /\ARCPT/
      refusing ? "550 nobody here" : "250 ok"
    when /\ADATA/
      client.puts("354 go on")
      told << client.gets until told.last == ".\r\n"
      "250 taken"
    else
      "250 ok"
    end
  end

  it "carry an invitation, with the address of this server and no other, and nothing of it in the file's name" do
    link = posting { sign_in && invite }
    expect(link["emailed"]).to be(true)
    letter = letters.first
    expect(letter).to have_attributes(to: ["ada@netloft.example"], from: ["loft@netloft.example"])
    expect(letter.subject).to eq("You are asked to work with The Net Loft")
    expect(letter.decoded).to include("https://fit.example/welcome##{link["address"].split("#").last}")
    expect(Dir.children(folder).join).not_to match(/ada|quill/i)
  end

  it "are none where none are set, and somebody who forgot is told whom to ask" do
    sign_in
    expect(invite["emailed"]).to be_nil
    expect([forgotten("maren@netloft.example")["code"], status]).to eq(["no_letters", 422])
    expect(call(:get, "/auth/first")["by_email"]).to be(false)
  end

  it "go by a mail server, and a refusal of it is said with the link still there" do
    by = ->(port) { { "MAIL_FOLDER" => "", "SMTP_URL" => "smtp://127.0.0.1:#{port}" } }
    sign_in
    told = mail_server { |port| posting(by[port]) { invite } }
    expect(told).to include("RCPT TO:<ada@netloft.example>", "You are asked to work with The Net Loft")
    link = nil
    mail_server(refusing: true) { |port| posting(by[port]) { link = invite } }
    expect(link).to include("emailed" => false, "address" => a_string_including("/welcome#"))
    posting(by[1]) { expect(invite["emailed"]).to be(false) }
  end

  it "let whoever forgot choose a new password, once in a while, and tell a stranger nothing" do
    posting do
      expect(forgotten("nobody@netloft.example")).to eq("ok" => true)
      expect(forgotten(" Maren@netloft.example ")).to eq("ok" => true)
      until_posted
      forgotten("maren@netloft.example")
      secret = letters.first.decoded[/#(\S+)/, 1]
      taken = call(:post, "/auth/link/taking", { secret: secret, password: "heron on the slipway" })
      expect(taken).to eq("email" => "maren@netloft.example")
    end
    expect(letters.map(&:to)).to eq([["maren@netloft.example"]])
    sign_in(password: "heron on the slipway")
    expect(call(:get, "/api/me")["name"]).to eq("Maren Oldcastle")
    asked = db[Sequel[:kept][:audit]].where(gym_id: loft.id, action: "asked_for_password")
    expect(asked.select_map(:account_id)).to eq([maren])
  end

  it "are not for whoever was closed" do
    db[:accounts].where(id: maren).update(status_id: Verglas::Store::Staff::CLOSED)
    Verglas::Application::Forgotten.new(db).call("maren@netloft.example") { raise "made" }
    expect(db[:staff_links].count).to eq(0)
  end

  it "are refused at the start where they are set half, or the server is no mail server" do
    [{ "MAIL_FROM" => "" }, { "PUBLIC_URL" => "" }, { "SMTP_URL" => "http://mail.example" }].each do |wrong|
      posting(wrong) { expect { Verglas::Web::Post.of }.to raise_error(ArgumentError) }
    end
  end
end
