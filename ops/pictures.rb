# frozen_string_literal: true

require "capybara/dsl"
require_relative "bench_pictures"
require_relative "browser"

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
        bench-short
        set-up
        board
        staff
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
        board
        sessions
        staff
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

      def staff
        visit "/gym/staff"
        fill_in "Name", with: "Ada Quill"
        fill_in "Email", with: "ada@netloft.example"
        click_button "Make the link"
        assert_text "For Ada Quill"
        shot("staff")
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
