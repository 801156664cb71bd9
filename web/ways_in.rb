# frozen_string_literal: true

module Verglas
  module Web
    # What is open to whoever is not signed in and holds a link or a code: GET /auth/first, POST /auth/first,
    # POST /auth/link (what is it?), /auth/link/taking, /auth/own-card (a client's own); /auth/phone opens a reading by
    # a code, /auth/phone/samples and /auth/phone/ending go on with its own secret. /auth/forgotten asks for a new
    # password by e-mail. A secret stands in a body, never in an address: docs/security.md
    module WaysIn
      PATHS = %w[
        /auth/first
        /auth/forgotten
        /auth/link
        /auth/link/taking
        /auth/own-card
        /auth/phone
        /auth/phone/samples
        /auth/phone/ending
      ].freeze

      private

      def ways_in(request)
        return unless PATHS.include?(request.path_info)

        request.get("first") { json({ needed: arrivals.first?, by_email: !Post.of.nil? }) }
        given = request.params.transform_keys(&:to_sym)
        by_phone(request, given)
        slow_guesses
        request.post("first") { answered { begin_server(given) } }
        request.post("forgotten") { answered { forgotten(given[:email]) } }
        request.post("link", "taking") { answered { take_link(given) } }
        request.post("own-card") { answered { own_card(given[:secret]) } }
        request.post("link") { answered { arrivals.shown(given[:secret]) } }
      end

      # Sent twice a second: of these only a wrong secret is counted.
      def by_phone(request, given)
        request.post("phone", "samples") { answered { samples(given) } }
        request.post("phone", "ending") { answered { reading_over(given[:secret]) } }
        request.post("phone") do
          slow_guesses
          answered { open_reading(given[:secret]) }
        end
      end

      def begin_server(given)
        check_password(given[:password], "/password")
        row =
          arrivals.begun(
            given[:code],
            gym: given.slice(:locale, :length_unit).merge(name: named(given, :gym)),
            lead: {
              name: named(given, :name),
              email: given[:email].strip.downcase
            },
            password: given[:password]
          )
        { email: row[:email] }
      end

      def take_link(given)
        check_password(given[:password], "/password")
        name = named(given, :name) if given.key?(:name)
        { email: arrivals.taken(given[:secret], password: given[:password], name: name)[:email] }
      end

      # Whoever asks learns nothing of who works here, neither by words nor by time. One letter a person in a while.
      def forgotten(email)
        post = Post.of or raise Invalid, :no_letters
        db = rodauth.db
        Later.shared.call do
          Application::Forgotten
            .new(db)
            .call(email) { |made, row| post.link("reset", made, gym: row[:gym], name: row[:name], to: row[:email]) }
        end
        { ok: true }
      end

      # Many phones share a gym's address: who opens what is theirs is not counted.
      def own_card(secret)
        row = Store::Tables::ClientLinks.opened(rodauth.db, secret) or raise Invalid, :own_card_over
        guessing.right_link(env["REMOTE_ADDR"])
        gym = Store::Gym.new(rodauth.db, row[:gym_id])
        Views::OwnCard.of(Application::Questions::OwnCard.of(gym, gym.clients.find(row[:client_id])))
      end

      # Many phones share a gym's address here too.
      def open_reading(code)
        opened = phone_reading.opened(code)
        guessing.right_link(env["REMOTE_ADDR"])
        { secret: opened[:secret], **Views::Movement.on_phone(opened[:movement]) }
      end

      def samples(given)
        taken =
          counting { phone_reading.take(*given.values_at(:secret, :number, :samples), anew: given[:anew] == true) }
        { through: taken[:through], **Views::Movement.live(taken[:movement]) }
      end

      def reading_over(secret) = Views::Movement.live(counting { phone_reading.ended(secret) }[:movement])

      def counting
        yield
      rescue Invalid => e
        slow_guesses if e.code == :reading_over
        raise
      end

      def phone_reading = Application::PhoneReading.new(rodauth.db)

      def named(given, field) = Inputs::Name.tidy(given[field], "/#{field}")

      def arrivals
        Application::Arrivals.new(rodauth.db, hash: ->(password) { SignIn.password_hash(password) })
      end

      def slow_guesses
        wait = guessing.link(env["REMOTE_ADDR"])
        refuse(:too_many_tries, wait: wait) if wait
      end

      def answered
        json(yield)
      rescue Invalid => e
        request.halt(Errors.response(Errors.status(e), e))
      end
    end
  end
end
