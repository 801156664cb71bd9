# frozen_string_literal: true

require "web_helper"
require_relative "../support/known"
require_relative "../support/taking_in"

# An archive in which one value is not as a gym would have it: it is refused, with words, or every page of the gym that
# it becomes answers as the contract says. ARCHIVE_SEED and ARCHIVES ask for others.
RSpec.describe "Strange archives" do
  include Known
  include TakingIn

  let(:random) { Random.new(Integer(ENV.fetch("ARCHIVE_SEED", "20261129"))) }
  let(:archives) { Integer(ENV.fetch("ARCHIVES", "12")) }
  let(:words) { ["", "x", "\u202Eabc", "2021-02-30", "1999-01-01T00:00:00Z", SecureRandom.uuid] }

  # A gym with something of every kind in it, as its archive.
  def whole_document = @whole_document ||= whole

  def whole
    known = known_gym
    sign_in
    person, = known[:ids]["clients"]
    machine, station = known[:ids]["machines"]
    call(:put, "/api/clients/#{person}/cautions", { caution: "loose_joints", version: nil, note: "since school" })
    call(
      :put,
      "/api/clients/#{person}/limits/hip_bend",
      { value: 100, version: known[:gym].clients.find(person)[:version] }
    )
    known[:gym].queues.put(machine, "", clients: [person], version: 0, by: known[:account])
    known[:gym].queues.stands(station, "extension", { "back pad" => "3" }, by: known[:account])
    known[:gym].rules.set_for_client(person, "grip", "hard", reason: "asks for it", by: known[:account])
    call(:get, "/api/export/gym-with-health-notes.json").then { JSON.parse(last_response.body) }
  end

  # Another gym's own stay.
  def emptied
    super
    db[:gyms].where(id: gym_here).update(name: "Nothing yet", locale: "en-GB")
  end

  def gym_here = db[:accounts].where(email: "maren@netloft.example").get(:gym_id)
  def pick(list) = list[random.rand(list.size)]

  # Somewhere below a value: the holder and the key there.
  def place_in(value, holder = nil, key = nil)
    inside =
      case value
      when Hash
        value.keys
      when Array
        (0...value.size).to_a
      else
        []
      end
    return holder, key if inside.empty? || (holder && random.rand(5).zero?)

    chosen = pick(inside)
    place_in(value[chosen], value, chosen)
  end

  def spoilt(document)
    copy = JSON.parse(JSON.generate(document))
    section = pick(copy.keys.select { |name| copy[name].is_a?(Hash) || (copy[name].is_a?(Array) && copy[name].any?) })
    holder, key = place_in(copy[section], copy, section)
    holder[key] = strange(holder[key], section)
    [copy, "#{section} #{key} #{holder[key].inspect}"]
  end

  # Another of its kind, most of the time.
  def strange(value, section)
    return pick([nil, 0, "x", [], {}, [1], { "x" => 1 }]) if random.rand(8).zero?

    case value
    when Numeric
      pick([0, -value, value + 1, value * 2, 99, 0.5])
    when String
      pick([*words, *strings[section].first(40)])
    when Array
      pick([[], value.drop(1), value + value.first(1), value.shuffle(random: random)])
    when Hash
      pick([{}, value.except(value.keys.sample(random: random)), value.to_a.first(2).to_h])
    else
      pick([nil, true, false, 1, "x"])
    end
  end

  # Texts that a section holds.
  def strings
    @strings ||=
      Hash.new { |known, section| known[section] = texts(whole_document[section]).uniq.shuffle(random: random) }
  end

  def texts(value)
    case value
    when Hash
      value.values.flat_map { |one| texts(one) }
    when Array
      value.flat_map { |one| texts(one) }
    else
      [*(value if value.is_a?(String))]
    end
  end

  # Every page that reads, of everything that is there.
  def pages
    ids = %w[clients machines fittings].to_h { |name| [name, db[name.to_sym].where(gym_id: gym_here).select_map(:id)] }
    reading = Fuzz.new(seed: 1).operations.select { |verb, path, _| verb == "get" && path.start_with?("/api/") }
    reading.flat_map { |_, path, operation| addresses(path, ids).product(questions(operation, ids)).map(&:join) }
  end

  # Whatever else is named in it is of the same kind.
  def addresses(path, ids)
    path.include?("{id}") ? ids.fetch(path.split("/")[2], []).map { |id| path.gsub(/{(id|other)}/, id) } : [path]
  end

  # Histories are asked for of a machine.
  def questions(operation, ids)
    machine = operation.fetch("parameters", []).any? { |one| one["name"] == "machine" && one["required"] }
    machine ? ids["machines"].map { |id| "?machine=#{id}" } : [""]
  end

  def answered?(path)
    call(:get, path)
    status < 500
  end

  it "are refused, or every page answers" do
    document = whole_document
    outcomes = Hash.new(0)
    [[document, "as it is"], *Array.new(archives) { spoilt(document) }].each do |archive, what|
      emptied
      taken = take_in("gym", JSON.generate(archive))
      expect(status).to be < 500, what
      outcomes[taken["code"] || taken["state"]] += 1
      expect(pages.reject { |path| answered?(path) }).to eq([]), what if taken["state"] == "taken"
    end
    expect(outcomes["taken"]).to be_between(1, archives), outcomes.inspect
  end
end
