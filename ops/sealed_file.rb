# frozen_string_literal: true

require "openssl"
require "securerandom"

module Verglas
  module Ops
    # A file that is written and read in pieces, each encrypted and sealed (AES-256-GCM) under a key of this file's own,
    # made of the gym's. Each piece's nonce is its number and whether it is the last (the STREAM construction of Hoang,
    # Reyhanitabar, Rogaway and Vizar, 2015): none can be changed, left out, put elsewhere or cut off unseen.
    module SealedFile
      HEAD = "verglas backup 1\n"
      SALT = 32
      PIECE = 1 << 20
      TAG = 16
      LENGTH = 4

      # It is no such file, was made with another key, or is not whole.
      class Broken < StandardError
      end

      # Takes bytes and writes pieces.
      class Writer
        # key: 32 bytes; io: to write to.
        def initialize(io, key)
          @io = io
          salt = SecureRandom.bytes(SALT)
          @key = SealedFile.key(key, salt)
          @held = +"".b
          @number = 0
          io.write(HEAD, salt)
        end

        def write(bytes)
          @held << bytes
          piece(@held.slice!(0, PIECE), last: false) while @held.bytesize > PIECE
        end

        def finish = piece(@held, last: true)

        private

        def piece(bytes, last:)
          cipher = OpenSSL::Cipher.new("aes-256-gcm").encrypt
          cipher.key = @key
          cipher.iv = SealedFile.nonce(@number, last)
          sealed = bytes.empty? ? "".b : cipher.update(bytes)
          sealed << cipher.final << cipher.auth_tag(TAG)
          @io.write([sealed.bytesize].pack("N"), sealed)
          @number += 1
        end
      end

      module_function

      # Yields what was written, in pieces. Raises Broken as soon as one is not right.
      def read(io, key)
        raise Broken, "this is no backup of Verglas" unless io.read(HEAD.bytesize) == HEAD

        key = key(key, io.read(SALT).to_s)
        number = 0
        until (length = io.read(LENGTH)).nil?
          sealed = io.read(length.unpack1("N").to_i).to_s
          last = io.eof?
          yield opened(sealed, key, number, last)
          number += 1
        end
        raise Broken, "the file ends too soon" unless last
      end

      def opened(sealed, key, number, last)
        raise Broken, "the file ends too soon" if sealed.bytesize < TAG

        cipher = OpenSSL::Cipher.new("aes-256-gcm").decrypt
        cipher.key = key
        cipher.iv = nonce(number, last)
        cipher.auth_tag = sealed.byteslice(-TAG, TAG)
        bytes = sealed.byteslice(0, sealed.bytesize - TAG)
        (bytes.empty? ? "".b : cipher.update(bytes)) + cipher.final
      rescue OpenSSL::Cipher::CipherError
        raise Broken, "the file was changed, cut off, or made with another key"
      end

      def nonce(number, last) = [number].pack("Q>") + "\0\0\0".b + (last ? "\1" : "\0").b
      def key(secret, salt) = OpenSSL::KDF.hkdf(secret, salt: salt, info: HEAD, length: 32, hash: "SHA256")
      private_class_method :opened
    end
  end
end
