# frozen_string_literal: true

require "web_helper"
require_relative "../support/everything"
require_relative "../support/known"

# Every route of the interface, asked by everybody who might: nobody, whoever was let in once, a locked tablet, another
# gym's staff, and whose it is. New routes are in it by standing in the document.
RSpec.describe "Who asks" do
  include Known
  include Everything

  operations = Fuzz.new(seed: 1).operations.reject { |_, path, _| path.start_with?("/auth/") }
  # Nothing here is anybody's.
  common = %w[/api/families /api/ping]
  let!(:known) { known_gym }
  let(:right) { fuzz_of(known, seed: 5, of: known[:ids]) }

  def ask(request)
    header "Content-Type", "application/json"
    header "Idempotency-Key", request.headers["Idempotency-Key"]
    custom_request(request.verb.upcase, request.path, {}, { input: request.raw.to_s })
    last_response.body.start_with?("{") ? JSON.parse(last_response.body) : {}
  end

  def tables = everything(but: %i[account_active_session_keys counters writes tablet_staff])

  # What each is told, and that nothing was changed.
  def told_everywhere(operations)
    before = tables
    told = operations.to_h { |operation| [operation.first(2).join(" "), yield(ask(right.right(operation)))] }
    expect(tables).to eq(before)
    told
  end

  it "nobody: is asked to sign in, at every door" do
    expect(told_everywhere(operations) { |answer| [status, answer["code"]] }.values.uniq).to eq(
      [[401, "sign_in_needed"]]
    )
  end

  it "somebody whose session was ended, or whose account was closed: the same" do
    sign_in
    cookies = rack_mock_session.cookie_jar
    db[:account_active_session_keys].delete
    expect(told_everywhere(operations) { |answer| [status, answer["code"]] }.values.uniq).to eq(
      [[401, "sign_in_needed"]]
    )
    sign_in
    db[:accounts].where(id: known[:account]).update(status_id: 3)
    expect(told_everywhere(operations) { |answer| [status, answer["code"]] }.values.uniq).to eq(
      [[401, "sign_in_needed"]]
    )
    expect(cookies).not_to be_nil
  end

  it "a locked tablet: nothing until a PIN opens it" do
    sign_in
    call(:post, "/auth/lock", {})
    expect(told_everywhere(operations) { |answer| [status, answer["code"]] }.values.uniq).to eq(
      [[401, "tablet_locked"]]
    )
  end

  # Asked for by an id that is another gym's.
  named = operations.select { |_, path, _| path.match?(/\{(id|account)\}/) }

  (Verglas::Store::Staff::ROLES - %w[lead]).each do |role|
    it "another gym's #{role}: there is nothing under these ids, or they may not ask at all" do
      sign_in(email: "spy@elsewhere.example")
      db[:accounts].where(id: known[:spy]).update(role: role)
      before = tables
      told =
        named.to_h do |operation|
          said = Array.new(3) { ask(right.right(operation)).then { |answer| [status, answer["code"]] } }
          [operation.first(2).join(" "), said.uniq]
        end
      open = told.reject { |_, said| (said.map(&:first) - [403, 404, 422]).empty? }
      expect(open).to eq({})
      expect(told.values.flatten(1).map(&:first)).to include(404, 403)
      expect(tables).to eq(before)
    end
  end

  it "another gym's staff: there is nothing under these ids, and in no list" do
    sign_in(email: "spy@elsewhere.example")
    before = tables
    told =
      named.to_h do |operation|
        [
          operation.first(2).join(" "),
          Array.new(10) { ask(right.right(operation)).then { |answer| [status, answer["code"]] } }.uniq
        ]
      end
    # What is refused by its form is refused before anybody looks under the id.
    expect(
      told.reject { |_, said| said.include?([404, "not_found"]) && (said.map(&:first) - [404, 422]).empty? }
    ).to eq({})
    expect(tables).to eq(before)
    (operations - named)
      .select { |verb, path, _| verb == "get" && !common.include?(path) }
      .each do |operation|
        ask(right.right(operation))
        expect(last_response.body).not_to match(
          /Perpetua|Ione|slide_back|Station|#{known[:ids].values.flatten.join("|")}/
        )
      end
    opened =
      ask(
        Fuzz::Request.new(
          verb: "post",
          path: "/api/fittings",
          headers: {
            "Idempotency-Key" => SecureRandom.uuid
          },
          raw: JSON.generate({ client_id: known[:ids]["clients"].first, machine_id: known[:theirs]["machines"].first })
        )
      )
    expect([status, opened["code"]]).to eq([404, "not_found"])
  end

  it "whose it is: every route answers" do
    sign_in
    photograph =
      db[:machine_photographs]
        .returning(:id)
        .insert(
          machine_id: known[:ids]["machines"].first,
          jpeg: Sequel.blob("x" * 200),
          width_px: 1,
          height_px: 1,
          taken_by: known[:account]
        )
        .first[
        :id
      ]
    own = fuzz_of(known, seed: 6, of: known[:ids].merge("photographs" => [photograph]))
    # A body may name somebody whom nobody knows: then another is asked for.
    answer = ->(operation) do
      Array
        .new(9) { own.right(operation) }
        .lazy
        .map { |request| ask(request).then { status } }
        .find { |code| code != 404 } || 404
    end
    # What is there is read before anything is written over it.
    told =
      operations
        .sort_by { |operation| operation.first == "get" ? 0 : 1 }
        .to_h { |operation| [operation.first(2).join(" "), answer[operation]] }
    # Not there: a fitting that is not yet accepted, a set or a caution that nobody wrote, a reading of which another
    # took the place, a second record of somebody.
    nowhere = [
      "get /api/fittings/{id}/set-up",
      "post /api/fittings/{id}/set-up",
      "post /api/fittings/{id}/sets",
      "get /api/fittings/{id}/progress",
      "post /api/sets/{id}/taking-back",
      "post /api/clients/{id}/cautions/removal",
      "post /api/clients/{id}/cautions/return",
      "post /api/clients/{id}/links/removal",
      "post /api/clients/{id}/joins",
      "get /api/practice/runs/{id}/debrief",
      "get /api/sets/{id}/movement",
      "post /api/movements/{id}/keeping",
      "post /api/movements/{id}/removal"
    ]
    expect(
      told.reject { |route, code| [200, 201, 409, 422].include?(code) || (code == 404 && nowhere.include?(route)) }
    ).to eq({})
    expect(told.values.count { |code| [200, 201].include?(code) }).to be > 25
  end

  it "every way to write carries a key, and the version of what it changes" do
    writes =
      operations.select do |verb, path, operation|
        verb != "get" && operation.fetch("parameters", []).any? { |one| one["$ref"].to_s.end_with?("/Key") } &&
          !path.end_with?("/set-up")
      end
    expect(writes.size).to be > 20
    reading = [
      "post /api/search",
      "post /api/clients/search",
      "post /api/clients/{id}/session-plan",
      "post /api/fittings/{id}/evaluation",
      "post /api/fittings/{id}/signs",
      "post /api/fittings/{id}/again",
      "post /api/fittings/{id}/creep",
      "post /api/fittings/{id}/loads",
      "post /api/machines/{id}/trial",
      "post /api/rules/{question}/changes"
    ]
    without_key = operations.reject { |verb, _, _| verb == "get" } - writes
    expect(without_key.map { |operation| operation.first(2).join(" ") } - reading).to eq(
      ["post /api/fittings/{id}/set-up"]
    )
    making = [
      "post /api/machines",
      "post /api/clients",
      "post /api/fittings",
      "post /api/machines/{id}/copy",
      "put /api/machines/{id}/photographs",
      "post /api/machines/{id}/photographs/removal",
      "post /api/fittings/{id}/sets",
      "post /api/sets/{id}/taking-back",
      "put /api/refits/snooze",
      "post /api/clients/{id}/sessions",
      "post /api/programmes",
      "post /api/circles",
      "post /api/cues",
      "post /api/cues/removal",
      "post /api/imports",
      "put /api/imports/{id}/chunks",
      "post /api/imports/{id}/step",
      "post /api/imports/{id}/taking",
      "post /api/imports/{id}/removal",
      "put /api/me",
      "post /api/past-their-time/erasure",
      "put /api/clients/{id}/sharing",
      "post /api/clients/{id}/links",
      "post /api/clients/{id}/links/removal",
      "post /api/staff/invitations",
      "post /api/staff/invitations/{id}/removal",
      "post /api/staff/{account}/sign-out",
      "post /api/staff/{account}/reset",
      "post /api/fittings/{id}/movements",
      "post /api/clients/{id}/limits/{limit}/movements",
      "post /api/movements/{id}/keeping",
      "post /api/movements/{id}/removal",
      "post /api/practice/runs",
      "post /api/practice/runs/{id}/actions",
      "post /api/practice/tasks",
      "post /api/practice/tasks/{id}/removal",
      "post /api/practice/people/{account}/look"
    ]
    versionless =
      writes.reject do |operation|
        right.right(operation).then { |request| "#{request.raw} #{request.path}" }.include?("version")
      end
    expect(versionless.map { |operation| operation.first(2).join(" ") } - making).to eq([])
  end
end
