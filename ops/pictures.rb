# frozen_string_literal: true

require "capybara/dsl"
require_relative "bench_pictures"
require_relative "browser"
require_relative "simulated_arm"

module Verglas
  module Ops
    # The main views of the demo gym, one after another, as PNGs of 1280 x 800.
    class Pictures
      include Capybara::DSL
      include BenchPictures

      NAMES = %w[
        floor
        client
        tape
        bench
        bench-watch
        bench-caution
        bench-press
        bench-hip
        set-up
        read-set
        board
        practice
        session
        session-running
        group
        rules
        machines
        machine
        machine-taping
      ].freeze

      def initialize(folder)
        @folder = folder
        Browser.prepare(Web::Stack.build(DB, limits: false))
        Capybara.current_driver = :verglas
      end

      # only: names to take; all when empty. Views are visited in any case, because each leads to the next.
      def take(only)
        @only = only
        unknown = only - NAMES
        raise ArgumentError, "no such view: #{unknown.join(", ")}" if unknown.any?

        sign_in
        shot("floor")
        client("Sunniva Quill", "client")
        tape("Zéphyrine Maddox")
        benches
        set_up("Imre Talbot-Vane", "Leg extension 1")
        read_set
        board
        sessions
        practice
        rules
        machines
      ensure
        Capybara.reset_sessions!
      end

      private

      def shot(name)
        return unless name && (@only.empty? || @only.include?(name))

        sleep 0.35 # the figure has come to rest, fonts are in
        page.save_screenshot(File.join(@folder, "#{name}.png")) # rubocop:disable Lint/Debugger -- pictures are what this makes
        puts "#{name}.png"
      end

      def sign_in
        visit "/"
        fill_in "Email", with: Demo::Loader::SIGN_IN[:email]
        fill_in "Password", with: Demo::Loader::SIGN_IN[:password]
        click_button "Sign in"
        assert_text "The Net Loft"
      end

      def open_client(name)
        visit "/clients"
        click_link(name, match: :first)
        assert_text "Card"
      end

      def client(name, picture)
        open_client(name)
        shot(picture)
      end

      def tape(name)
        open_client(name)
        click_link("Tape", match: :first)
        assert_text "Expected"
        fill_in "Reading in cm", with: "58.4"
        shot("tape")
      end

      def set_up(name, machine)
        open_client(name)
        find("[data-machine='#{machine}']").click_link(text: /Set up/)
        assert_text "It stands so"
        click_button "Hard, clean"
        shot("set-up")
      end

      # Planned, at work after a set, and a group in its first round.
      def sessions
        open_client("Perpetua Lowe")
        click_link "Today's session"
        assert_selector "[data-chosen-block]"
        shot("session")
        click_button "Begin at", match: :first
        click_button "Hard, clean"
        assert_selector "[data-set='1']"
        shot("session-running")
        visit "/sessions"
        click_link "Tuesday circle"
        click_button "Begin round 1"
        assert_selector "[data-group-grid='1']"
        shot("group")
      end

      # The set of the page that is open, read by a phone that does not exist.
      def read_set
        click_button "Read with a phone"
        code = find("[data-reading] code").text.split("#").last
        phone = Application::PhoneReading.new(DB)
        secret = phone.opened(code)[:secret]
        DB[:movements].update(opened_at: Sequel::CURRENT_TIMESTAMP - Sequel.cast("200 s", :interval))
        lifted.each.with_index(1) { |batch, number| phone.take(secret, number, batch) }
        phone.ended(secret)
        assert_selector "[data-movement-line]"
        shot("read-set")
      end

      # Samples, a second at a time: a range that shrinks, and the last one let fall.
      def lifted
        arc = DB[:movements].get(:asked).values_at("from_deg", "upto_deg")
        done =
          Array.new(6) do |index|
            last = index == 5
            SimulatedArm::Done.new(
              low: 0.0,
              top: 1.0 - (0.03 * index),
              up: 1.8 + (0.2 * index),
              hold: 0.9,
              down: last ? 0.6 : 2.8,
              pause: 0.3,
              slam: last
            )
          end
        arm = SimulatedArm.new(done, start: arc.first, finish: arc.last, seed: 3, lies: true, even: false)
        arm.samples.slice_when { |one, other| one.first.floor != other.first.floor }.to_a
      end

      # A client who is made up, afterwards.
      def practice
        visit "/practice"
        click_button "Begin"
        assert_selector "[data-figure='practice']"
        click_button "Ask about cautions"
        assert_text(/“(No|Yes)/)
        click_button "Height"
        assert_text(/Height\s+\d/)
        click_button "Watch: I see nothing"
        assert_selector "[data-look='1']"
        click_button "Accept these marks"
        assert_selector "[data-debrief] [data-step='4']"
        shot("practice")
      end

      def board
        visit "/board?weeks=52"
        assert_selector "[data-person]", minimum: 3
        shot("board")
      end

      def rules
        visit "/rules"
        assert_text "Roller on the shin, extension"
        shot("rules")
      end

      def machines
        visit "/machines"
        assert_text "Cushions and pads"
        shot("machines")
        click_link(text: /Leg curl 1/)
        assert_text "height, cm"
        shot("machine")
        click_link "Tape again"
        click_button "Back pad to pivot"
        fill_in "Length in cm", with: "62.1"
        assert_selector "[data-person=large]", text: /off|wrong/
        shot("machine-taping")
      end
    end
  end
end
