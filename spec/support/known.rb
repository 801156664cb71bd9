# frozen_string_literal: true

require_relative "fuzz"

# A gym with something of every kind, beside one whose things nobody of the first may see; and a generator that knows
# them.
module Known
  HIDDEN = "zxsecret"

  def known_gym
    loft = gym
    by = staff(loft, role: "lead")
    here = [machine(loft), machine(loft, "shared_seat", name: "Station")]
    people = [
      client(loft, by, name: "Perpetua Lowe", stature: 1648),
      client(loft, by, name: "Ione Fairweather", seat_to_kneecap: 580)
    ]
    drafts =
      people.map do |person|
        loft
          .fittings
          .open(client_id: person[:id], machine_id: here.first[:id], description_number: 1, marks: known_marks, by: by)
          .first
      end
    accepted = accepted(loft, people.first, here.last, by)
    visit = loft.visits.begin(accepted, planned_kg: nil, since: Time.now, by: by)
    loft.visits.add(
      visit[:id],
      stops: false,
      by: by,
      load_kg: nil,
      repetitions: 10,
      leg: "",
      how: {
      },
      clean: false,
      sends_back: false,
      watched_by: nil
    )
    mate = staff(loft, email: "tobias@netloft.example", name: "Tobias Wren")
    loft.colleagues.invite(name: "Ada Quill", email: "ada@netloft.example", role: "helper", by: by)
    elsewhere = gym("Elsewhere")
    spy = staff(elsewhere, email: "spy@elsewhere.example", name: "#{HIDDEN} spy", role: "lead")
    {
      gym: loft,
      account: by,
      mate: mate,
      spy: spy,
      cue: loft.cues.add("Heels down, and stay there.", about: :leg_flies_back),
      ids: {
        "clients" => ids(people),
        "machines" => ids(here),
        "fittings" => ids([*drafts, accepted]),
        "sets" => loft.db[:sets].select_map(:id),
        "movements" => [read(loft, accepted, by)],
        **practised(loft, by, "First week"),
        **planned(loft, people, accepted, by),
        "staff" => [loft.colleagues.invitations.first[:id]],
        "imports" => [
          loft.imports.insert(kind: "clients", bytes: 4, units: { "length" => "cm", "mass" => "kg" }, by: by)[:id]
        ]
      },
      theirs: {
        "clients" => [client(elsewhere, spy, name: "#{HIDDEN} client", detail: HIDDEN)[:id]],
        "machines" => [machine(elsewhere, name: "#{HIDDEN} machine")[:id]],
        **practised(elsewhere, spy, "#{HIDDEN} task"),
        **hidden_plans(elsewhere, spy)
      }
    }
  end

  # Something to practise, and somebody at it.
  def practised(gym, by, name)
    row = gym.machines.all.first
    machine = { **Verglas::Application::Described.data(row), "exercise" => "", "place" => row[:place] }
    given = [{ machine: machine, seed: 5, level: "plain" }]
    {
      "runs" => [gym.practice.begin(account_id: by, machine: machine, seed: 5, level: "plain")[:id]],
      "tasks" => [gym.practice.give(name: name, exercises: given, by: by)[:id]]
    }
  end

  # A set that a phone reads.
  def read(gym, fitting, by)
    asked = { on: "arm", from_deg: 80, upto_deg: 0, lowers_first: false, planned: 8, slow_share: nil }
    tempo = Verglas::Loading::Tempo.of(:slow_down).to_h
    gym.movements.make(
      by: by,
      asked: {
        **asked,
        tempo: tempo
      },
      client_id: fitting[:client_id],
      fitting_id: fitting[:id],
      leg: ""
    )[
      :id
    ]
  end

  # A session that runs, a programme and a group.
  def planned(loft, people, accepted, by)
    key = accepted.values_at(:machine_id, :exercise).join("/")
    days = [{ name: "A", exercises: [{ action: "knee_extension", part: "main", sets: 2 }] }]
    {
      "sessions" => [
        loft.sessions.add(
          people.first[:id],
          state: "running",
          by: by,
          minutes: 30,
          wishes: {
          },
          blocks: [{ keys: [key], sets: 2 }]
        )[
          :id
        ]
      ],
      "programmes" => [loft.programmes.add(client_id: people.first[:id], name: "Own", days: days, by: by)[:id]],
      "circles" => [loft.circles.add(name: "Circle", work_s: 60, stations: [key], people: ids(people), by: by)[:id]]
    }
  end

  def hidden_plans(elsewhere, spy)
    person = client(elsewhere, spy, name: "#{HIDDEN} other")
    {
      "movements" => [
        elsewhere.movements.make(
          by: spy,
          asked: {
            on: "foot",
            limit: "heel_drop"
          },
          client_id: person[:id],
          limit_name: "heel_drop"
        )[
          :id
        ]
      ],
      "sessions" => [
        elsewhere.sessions.add(person[:id], state: "planned", by: spy, minutes: 30, wishes: {}, blocks: [])[:id]
      ],
      "programmes" => [
        elsewhere.programmes.add(
          client_id: nil,
          name: "#{HIDDEN} programme",
          days: [{ name: HIDDEN, exercises: [] }],
          by: spy
        )[
          :id
        ]
      ],
      "circles" => [
        elsewhere.circles.add(name: "#{HIDDEN} circle", work_s: 60, stations: [], people: [person[:id]], by: spy)[:id]
      ]
    }
  end

  # A fitting on a station that was accepted as advised.
  def accepted(loft, person, station, by)
    meeting = Verglas::Application::Meeting.new(loft, client: person, machine_row: station, exercise: "extension")
    draft, =
      loft.fittings.open(
        client_id: person[:id],
        machine_id: station[:id],
        exercise: "extension",
        description_number: 1,
        marks: meeting.advice.marks,
        by: by
      )
    loft.fittings.accept(
      draft[:id],
      version: 1,
      by: by,
      **Verglas::Application::Record.of(Verglas::Application::Meeting.of(loft, draft[:id]), meeting.advice.marks, {})
    )
  end

  def known_marks = { "back pad" => "3", "roller" => "C", "start" => "3" }
  def ids(rows) = rows.map { |row| row[:id] }

  # of: which of the ids are asked for.
  def fuzz_of(known, seed:, of: known[:ids].merge(known[:theirs]) { |_, ours, theirs| ours + theirs })
    Fuzz.new(
      seed: seed,
      ids: of,
      known: {
        "marks" => [known_marks],
        "version" => [1, 1, 2, 3],
        "client_id" => of["clients"],
        "machine_id" => of["machines"],
        "machine" => of["machines"],
        "observation" => %w[stature seat_to_kneecap],
        "caution" => %w[knee_replacement back pregnancy],
        "seen" => [[], %w[numb_feet]],
        "question" => %w[extension_roller tempo],
        "cue" => ["brake_all_the_way", "own_none", known[:cue], known[:cue]],
        "about" => %w[leg_flies_back calf],
        "felt" => [nil, "front_thigh"],
        "sign" => [nil, "leg_flies_back"],
        "move" => %w[sits_back both_legs_in load_at_rest legs_out],
        "limit" => %w[hip_bend ankle],
        "gate" => %w[stick],
        "exercise" => ["", "curl", "extension"],
        "family" => %w[extension curl lying_curl],
        "email" => ["maren@netloft.example"],
        "password" => [Given::PASSWORD, "guess"],
        "pin" => %w[2468 1357],
        "account_id" => [known[:account]],
        "account" => [known[:mate]],
        "clients" => [of["clients"]],
        "people" => [of["clients"]],
        "client" => of["clients"],
        "minutes" => [30, 30, 5],
        "programme_id" => [nil, *of["programmes"]],
        "stations" => [of["machines"].map { |id| "#{id}/" }, of["machines"].map { |id| "#{id}/extension" }],
        "kept" => [[], of["machines"].map { |id| "#{id}/" }],
        "name" => ["Ada", "back_face", "arm_length", "   "],
        "adjuster" => ["roller", "back pad", ""],
        "label" => %w[seat roller],
        "school" => %w[just_above slow],
        "value" => [57.0, -500],
        "stop_sign" => %w[faintness]
      }
    )
  end
end
