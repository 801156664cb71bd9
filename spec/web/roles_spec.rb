# frozen_string_literal: true

require "web_helper"
require_relative "../support/everything"
require_relative "../support/known"

# Every operation, asked by every role: let through exactly where web/roles.yml says so.
RSpec.describe "Roles" do
  include Known
  include Everything

  operations = Fuzz.new(seed: 1).operations.reject { |_, path, _| path.start_with?("/auth/") }
  roles = Verglas::Store::Staff::ROLES
  table = YAML.safe_load_file(Verglas::Web::Roles::FILE)
  let!(:known) { known_gym }

  def ask(request)
    header "Content-Type", "application/json"
    header "Idempotency-Key", request.headers["Idempotency-Key"]
    custom_request(request.verb.upcase, request.path, {}, { input: request.raw.to_s })
    last_response.body.start_with?("{") ? JSON.parse(last_response.body)["code"] : nil
  end

  # {operation => whether a role was turned away}, whatever is sent.
  def turned_away(operations, seed)
    fuzz = fuzz_of(known, seed: seed, of: known[:ids])
    operations.to_h do |operation|
      [operation[2]["operationId"], %w[lead_only role_refused].include?(ask(fuzz.right(operation)))]
    end
  end

  roles.each_with_index do |role, index|
    it "lets a #{role} do what the table says, and nothing else" do
      sign_in
      db[:accounts].where(id: known[:account]).update(role: role)
      before = snapshot
      away = turned_away(operations, index)
      # How one's own bench looks is everybody's to choose.
      db[:accounts].where(id: known[:account]).update(short_bench: false)
      expect(away).to eq(away.to_h { |name, _| [name, !table.fetch(name).include?(role)] })
      expect(snapshot).to eq(before) if role == "clinician"
    end
  end

  def snapshot = everything(but: %i[account_active_session_keys counters writes tablet_staff])

  # What the table must never come to say, whoever edits it.
  it "keeps what leaves the gym, who works there and what is set for all with the lead" do
    common = table.select { |_, some| some == roles }.keys
    expect(common).to contain_exactly("me", "ping", "putMyChoices", "client", "searchClients")
    expect(table.select { |_, some| some.include?("clinician") }.keys - common).to contain_exactly(
      "cautions",
      "putCaution",
      "limits"
    )
    sensitive = table.keys.grep(/\A(export|erase|personArchive|audit|import|takeImport|setRule\z|putStricter|putGym)/)
    expect(sensitive.size).to be > 12
    expect(sensitive.reject { |name| table[name] == %w[lead] }).to eq([])
    helped = table.select { |_, some| some.include?("helper") }.keys
    expect(helped.grep(/caution|limit|accept|archive|card|takeFittingBack|tape|correct|add|reading/i)).to eq([])
  end

  it "does not load with a row too many, one too few, or a role that nobody has" do
    open = Verglas::Web::Roles::Open
    expect { Verglas::Web::Roles.new({ "me" => %w[lead] }, operations: %w[me floor]) }.to raise_error(open, /floor/)
    expect { Verglas::Web::Roles.new({ "me" => %w[lead], "mee" => [] }, operations: %w[me]) }.to raise_error(
      open,
      /mee/
    )
    expect { Verglas::Web::Roles.new({ "me" => %w[leed] }, operations: %w[me]) }.to raise_error(open, /leed/)
  end
end
