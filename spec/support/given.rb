# frozen_string_literal: true

# What specs start from: gyms, staff, machines, clients with readings.
module Given
  PASSWORD = "a pane of ice"
  SHOWN = { stick: { right: true, by: "Maren Oldcastle", at: "2026-01-05T09:00:00Z" } }.freeze

  def db = Verglas::DB

  def gym(name = "The Net Loft")
    Verglas::Store::Gym.new(db, db[:gyms].returning(:id).insert(name: name).first[:id])
  end

  def staff(gym, email: "maren@netloft.example", name: "Maren Oldcastle", unit: "cm", role: "instructor")
    id = db[:accounts].insert(gym_id: gym.id, email: email, name: name, length_unit: unit, role: role)
    db[:account_password_hashes].insert(id: id, password_hash: Verglas::Web::SignIn.password_hash(PASSWORD))
    id
  end

  # The first fitting there is, with what lies encrypted of it opened.
  def first_fitting(**of) = Verglas::Store::Sealed.open(:fittings, db[:fittings].where(of).order(:created_at).first)

  # A machine of spec/fixtures in a gym; answers its row.
  def machine(gym, fixture = "slide_back", name: fixture, **facts)
    data = Worked::MACHINES.fetch(fixture)
    gym.machines.find(
      gym.machines.insert(
        family: data["family"],
        name: name,
        place: "by the door",
        **facts,
        description: data.slice("constants", "adjusters", "exercises").transform_keys(&:to_sym)
      )
    )
  end

  # A client with readings in mm, who has shown what comes before a kind of machine; answers the row.
  def client(gym, by, name: "Ione Fairweather", detail: "", sex: nil, body_mass_kg: nil, shown: SHOWN, **readings) # rubocop:disable Metrics/ParameterLists -- each is said by some specs alone
    row = gym.clients.insert(name: name, detail: detail, sex: sex, body_mass_kg: body_mass_kg)
    db[:clients].where(id: row[:id]).update(
      cautions_asked_on: Date.today,
      **Verglas::Store::Sealed.columns(:clients, { limits: shown })
    )
    row = gym.clients.find(row[:id])
    readings.each do |observation, value|
      gym.readings.put(
        client_id: row[:id],
        observation: observation.to_s,
        value_mm: value,
        unit: "cm",
        confirmed: false,
        taken_by: by
      )
    end
    row
  end

  # A fitting of a client on a machine with one exercise that was accepted as advised; closing, and what the
  # block makes of the Meeting: with which other fields it is closed. Answers its id.
  def accepted_as_advised(gym, person, machine, by, **closing)
    row, =
      gym.fittings.open(
        client_id: person[:id],
        machine_id: machine[:id],
        exercise: "",
        description_number: 1,
        marks: Verglas::Application::Meeting.new(gym, client: person, machine_row: machine).advice.marks,
        by: by
      )
    drawn = Verglas::Application::Meeting.of(gym, row[:id])
    gym.fittings.accept(
      row[:id],
      version: 1,
      by: by,
      marks: row[:marks].to_h,
      **Verglas::Application::Record.of(drawn, row[:marks].to_h, {}),
      **closing,
      **(block_given? ? yield(drawn) : {})
    )
    row[:id]
  end

  # Matteus Orr, of whom three lengths were read, or what more is said.
  def matteus(gym, by, **readings)
    taped = { stature: 1822, seat_to_kneecap: 641, floor_to_knee_top: 572 }
    client(gym, by, name: "Matteus Orr", sex: "man", **taped, **readings)
  end
end
